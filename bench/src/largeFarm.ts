/** A farm of 100 structures and 1,000 beds: how long it takes to be taken, read, changed and drawn. Real server, real browser. */
import { canDraw, median, timed, withPage, withServer } from './server';

const structures = Array.from({ length: 100 }, (_, i) => ({
  id: `s${i}`,
  name: `House ${i + 1}`,
  kind: 'house',
  shape: 'arch',
  sides: 'cover',
  lengthM: 20,
  widthM: 14,
  heightM: 3,
  material: 'pe-film',
  plies: 1,
  tightness: 'average',
  ventAreaM2: 8,
  order: i,
  at: { xM: (i % 10) * 26, yM: -Math.floor(i / 10) * 20, turnDeg: 90 },
}));
const beds = structures.flatMap((s, i) =>
  Array.from({ length: 10 }, (_, j) => ({
    id: `b${i}-${j}`,
    structureId: s.id,
    name: `B${j + 1}`,
    lengthM: 18,
    widthM: 1,
    rows: 4,
    on: 'ground',
    texture: 'loam',
    wetness: 'moist',
    mulchM: 0,
    hoopHeightM: 0.5,
    order: j,
  })),
);

async function send(url: string, method: string, body: object): Promise<void> {
  const res = await fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!res.ok) throw new Error(`${method} ${url}: ${res.status} ${await res.text()}`);
}

async function often(times: number, run: () => Promise<unknown>): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i < times; i++) all.push((await timed(run))[0]);
  return median(all);
}

export async function largeFarm(say: (line: string) => void): Promise<void> {
  say('\nA farm of 100 structures and 1,000 beds, nothing planted');
  await withServer(4397, false, async (url) => {
    const file = (await (await fetch(`${url}/api/farm/file`)).json()) as object;
    const body = { dryRun: false, file: { ...file, structures, beds } };
    const [taken] = await timed(() => send(`${url}/api/farm/file`, 'POST', body));
    const read = await often(7, async () => (await fetch(`${url}/api/beds`)).arrayBuffer());
    const put = await often(7, () => send(`${url}/api/structures/s5`, 'PUT', structures[5]!));
    say(
      `  taken from a file in ${(taken / 1000).toFixed(2)} s; all read in ${read.toFixed(0)} ms; one changed in ${put.toFixed(0)} ms`,
    );
    if (!canDraw()) return say('  not drawn: it takes Chromium and a built app (npm test makes both)');
    await withPage(async (page) => {
      await page.goto(`${url}/beds`);
      await page.getByTestId('open-plan').waitFor();
      const [drawn] = await timed(async () => {
        await page.getByTestId('open-plan').click();
        await page.getByTestId('farm-plan').locator('polygon').nth(1099).waitFor({ state: 'attached' });
      });
      await page.goto(`${url}/plan?structure=s5`);
      const east = page.getByTestId('plan-east-value');
      await east.waitFor();
      const moved = await often(5, async () => {
        const before = await east.textContent();
        await page.getByRole('button', { name: 'East up 5', exact: true }).click();
        while ((await east.textContent()) === before) await page.waitForTimeout(4);
      });
      say(
        `  on a phone’s screen: plan drawn ${drawn.toFixed(0)} ms after the tap; a structure moved, kept and drawn anew in ${moved.toFixed(0)} ms`,
      );
    });
  });
}
