/** The theme in force: by the farm's clock (day while the sun is up) or by hand. */
import { createContext, useContext, useEffect, type ReactNode } from 'react';
import { useFarm } from '../data/hooks';
import { DAY, NIGHT, type Palette } from './tokens';

const ThemeContext = createContext<Palette>(DAY);

export function useTheme(): Palette {
  return useContext(ThemeContext);
}

/** Day from sunrise to sunset by the farm's clock. */
export function themeFor(
  choice: 'clock' | 'day' | 'night',
  nowAtMs: number,
  sunsetAtMs: number | null,
  sunriseAtMs: number | null,
): Palette {
  if (choice !== 'clock') return choice === 'day' ? DAY : NIGHT;
  if (sunsetAtMs === null || sunriseAtMs === null) return DAY;
  return nowAtMs < sunsetAtMs || nowAtMs > sunriseAtMs ? DAY : NIGHT;
}

/** What is around the app (the page's edge, a phone's bar) has its ground's colour. */
function paintWindow(palette: Palette): void {
  if (typeof document === 'undefined') return;
  document.documentElement.style.backgroundColor = palette.ground;
  document.body.style.backgroundColor = palette.ground;
  document.documentElement.style.colorScheme = palette.name === 'night' ? 'dark' : 'light';
  document.querySelector('meta[name=theme-color]')?.setAttribute('content', palette.ground);
}

export function ThemeProvider({ children, force }: { children: ReactNode; force?: Palette }) {
  const { data } = useFarm();
  const palette =
    force ??
    (data
      ? themeFor(
          data.farm.theme,
          data.clock.nowAtMs,
          data.clock.window.sunsetAtMs,
          data.clock.window.sunriseAtMs,
        )
      : DAY);
  useEffect(() => paintWindow(palette), [palette]);
  return <ThemeContext.Provider value={palette}>{children}</ThemeContext.Provider>;
}
