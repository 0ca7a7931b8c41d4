import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { BarlowCondensed_500Medium } from '@expo-google-fonts/barlow-condensed/500Medium';
import { BarlowCondensed_600SemiBold } from '@expo-google-fonts/barlow-condensed/600SemiBold';
import { useFonts } from 'expo-font';
import { pageTitle } from '@fogata/contract/pages';
import { Slot, usePathname } from 'expo-router';
import Head from 'expo-router/head';
import { useEffect } from 'react';
import { SWRConfig } from 'swr';
import { Frame } from '../components/ui/Frame';
import { ThemeProvider } from '../theme/theme';
import { layout as words } from '@fogata/words/en/screens/data';

export default function Layout() {
  const page = pageTitle(usePathname());
  const title = words.nothingHereFogataFogata(page);
  // words come first, in the letters that there are; ours follow
  useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_600SemiBold,
    BarlowCondensed_500Medium,
    BarlowCondensed_600SemiBold,
  });
  useEffect(() => {
    // the shell opens without the server; only where a browser offers it, and not in development
    if (
      process.env.NODE_ENV === 'production' &&
      typeof navigator !== 'undefined' &&
      'serviceWorker' in navigator
    ) {
      navigator.serviceWorker.register('/sw.js').catch(() => {
        // without it the app works as before, only not offline from a cold start
      });
    }
  }, []);
  return (
    <SWRConfig value={{ revalidateOnFocus: true }}>
      <ThemeProvider>
        <Head>
          <title>{title}</title>
        </Head>
        <Frame>
          <Slot />
        </Frame>
      </ThemeProvider>
    </SWRConfig>
  );
}
