/** The board with 400 plantings in a browser: frames a second while it is scrolled, down and along, and while a strip is dragged. */
import { canDraw, median, withPage, withServer } from './server';

const STRUCTURES = 10;
const BEDS = 10;
const PLANTINGS = 400;
const CROPS = ['spinach', 'lettuce', 'radish', 'carrot', 'kale', 'mizuna', 'tomato', 'french-bean'];

const structures = Array.from({ length: STRUCTURES }, (_, i) => ({
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
}));
const beds = structures.flatMap((s, i) =>
  Array.from({ length: BEDS }, (_, j) => ({
    id: `b${i}-${j}`,
    structureId: s.id,
    name: `${String.fromCharCode(65 + i)}${j + 1}`,
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
const day = (from: string, days: number) =>
  new Date(Date.parse(`${from}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
/** Four a bed: two of half of the rows, each followed by another. */
const plantings = (today: string) =>
  Array.from({ length: PLANTINGS }, (_, n) => {
    const bed = beds[n % beds.length]!;
    const turn = Math.floor(n / beds.length);
    const from = turn % 2 === 0 ? 1 : 3;
    const start = 5 + Math.floor(turn / 2) * 110 + (n % 17);
    return {
      id: `p${n}`,
      bedId: bed.id,
      crop: CROPS[(n * 5 + turn) % CROPS.length]!,
      cultivar: '',
      fromRow: from,
      toRow: from + 1,
      lengthM: 18,
      plantedOn: day(today, start),
      clearedOn: day(today, start + 95),
      aim: 'grow',
      note: '',
      planned: true,
    };
  });

/** Milliseconds between frames while something goes on. */
const FRAMES = `(async (during) => {
  const at = [];
  let on = true;
  const tick = (t) => { at.push(t); if (on) requestAnimationFrame(tick); };
  requestAnimationFrame(tick);
  await during;
  on = false;
  return at.slice(1).map((t, i) => t - at[i]);
})`;

const words = (gaps: number[]): string => {
  const sorted = [...gaps].sort((a, b) => a - b);
  const mean = gaps.reduce((s, g) => s + g, 0) / gaps.length;
  return `${(1000 / mean).toFixed(0)} frames a second (a frame in the middle ${median(gaps).toFixed(1)} ms, one in twenty over ${sorted[Math.floor(sorted.length * 0.95)]!.toFixed(0)} ms)`;
};

export async function frames(say: (line: string) => void): Promise<void> {
  say(`\nThe board, ${PLANTINGS} plantings in ${beds.length} beds, 1280 × 800`);
  if (!canDraw()) return say('  not measured: it takes Chromium and a built app (npm test makes both)');
  await withServer(4397, false, async (url) => {
    type View = { today: string; progress: { state: string }; plantings: unknown[] };
    const relay = async () => (await (await fetch(`${url}/api/relay`)).json()) as View;
    const file = (await (await fetch(`${url}/api/farm/file`)).json()) as object;
    const { today } = await relay();
    const res = await fetch(`${url}/api/farm/file`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        dryRun: false,
        file: { ...file, structures, beds, plantings: plantings(today) },
      }),
    });
    if (!res.ok) throw new Error(await res.text());
    for (let n = 0; n < 300 && (await relay()).progress.state !== 'ready'; n++)
      await new Promise((r) => setTimeout(r, 500));
    await withPage(async (page) => {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(`${url}/board`);
      await page.getByTestId('strip-p399').waitFor({ state: 'attached' });
      await page.waitForTimeout(1500);
      const during = async (run: () => Promise<void>): Promise<number[]> => {
        await page.evaluate('void (globalThis.over = new Promise((r) => (globalThis.end = r)))');
        const all = page.evaluate(`${FRAMES}(globalThis.over)`) as Promise<number[]>;
        all.catch(() => undefined);
        try {
          await run();
        } finally {
          await page.evaluate('void globalThis.end()');
        }
        return all;
      };
      await page.mouse.move(700, 500);
      const down = await during(async () => {
        for (let n = 0; n < 150; n++) {
          await page.mouse.wheel(0, n < 75 ? 60 : -60);
          await page.waitForTimeout(16);
        }
      });
      say(`  scrolled down and up: ${words(down)}`);
      await page.getByRole('radio', { name: 'month' }).click();
      await page.waitForTimeout(1500);
      await page.mouse.move(700, 500);
      const along = await during(async () => {
        for (let n = 0; n < 150; n++) {
          await page.mouse.wheel(n < 75 ? 60 : -60, 0);
          await page.waitForTimeout(16);
        }
      });
      say(`  by months, scrolled along: ${words(along)}`);
      await page.getByRole('radio', { name: 'year', exact: true }).click();
      await page.waitForTimeout(1500);
      await page.getByTestId('strip-p1').scrollIntoViewIfNeeded();
      const box = (await page.getByTestId('strip-p1').boundingBox())!;
      await page.mouse.move(box.x + 8, box.y + 20);
      await page.mouse.down();
      const drag = await during(async () => {
        for (let n = 0; n < 60; n++) {
          await page.mouse.move(box.x + 8 + 3 * (n < 30 ? n : 60 - n), box.y + 20);
          await page.waitForTimeout(16);
        }
      });
      await page.mouse.up();
      say(`  one dragged: ${words(drag)}`);
    });
  });
}
