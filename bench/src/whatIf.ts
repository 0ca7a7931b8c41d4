/** From the tap on a layer's switch to the new figure on screen: the what-if, in a browser, as it is and slowed like a phone. */
import { canDraw, median, withPage, withServer } from './server';

/** How much slower than this machine a phone's main thread is taken to be. */
const PHONE = 4;

/** Runs in the page: a tap, and the milliseconds until another figure stands there. */
const TAP = `(async () => {
  const shown = () => document.querySelector('[data-testid="tried-min"]').textContent;
  const before = shown();
  const started = performance.now();
  document.querySelector('[data-testid="layer-blanket"]').click();
  while (shown() === before && performance.now() - started < 5000) await new Promise((r) => setTimeout(r, 1));
  return performance.now() - started;
})()`;

export async function whatIf(say: (line: string) => void): Promise<void> {
  say('\nOne what-if in Chromium: from the tap on a switch to the new lowest leaf on screen, median of 9');
  if (!canDraw()) return say('  not measured: it takes Chromium and a built app (npm test makes both)');
  await withServer(4398, true, (url) =>
    withPage(async (page) => {
      await page.goto(`${url}/place/n2`);
      await page.getByTestId('tried-min').waitFor({ timeout: 60_000 });
      await page.waitForTimeout(4000);
      const cdp = await page.context().newCDPSession(page);
      for (const [name, rate] of [
        ['this machine', 1],
        [`its main thread slowed ${PHONE} times`, PHONE],
      ] as const) {
        await cdp.send('Emulation.setCPUThrottlingRate', { rate });
        const all: number[] = [];
        for (let i = 0; i < 10; i++) {
          const ms = (await page.evaluate(TAP)) as number;
          // the first finds everything cold
          if (i > 0) all.push(ms);
          await page.waitForTimeout(600 * rate);
        }
        say(`  ${name}: ${median(all).toFixed(0)} ms`);
      }
    }),
  );
}
