/** The nights to come: as many as the forecast reaches, tonight's figures those of Now, each night begun where the last one ended. */
import type { AheadView, NowView } from '@fogata/contract/told';
import { DEMO_FARM, DEMO_START_MS } from '../src/demo/seed';
import { nightsWithin } from '../src/night/ahead';
import { startTestServer, type TestServer } from './harness';

const HOUR = 3_600_000;

test('a night counts where the forecast reaches past its dawn, five at most', () => {
  const hours = (h: number) => nightsWithin(DEMO_START_MS, DEMO_START_MS + h * HOUR, DEMO_FARM);
  expect(hours(10)).toBe(0);
  expect(hours(20)).toBe(1);
  expect(hours(44)).toBe(2);
  expect(hours(400)).toBe(5);
});

describe('the demo', () => {
  let s: TestServer;
  beforeAll(async () => {
    s = await startTestServer(true);
  });
  afterAll(() => s.close());

  test('nights one after the other; tonight is Now’s', async () => {
    let view: AheadView | null = null;
    for (let i = 0; i < 2400; i++) {
      view = (await s.api.get('/api/ahead').expect(200)).body as AheadView;
      if (view.progress.state === 'ready' || view.progress.state === 'failed') break;
      await new Promise((r) => setTimeout(r, 250));
    }
    expect(view!.progress).toMatchObject({ state: 'ready', of: view!.nights.length });
    expect(view!.nights.length).toBeGreaterThanOrEqual(2);
    expect(view!.nights.map((n) => n.night)).toEqual([...view!.nights.map((n) => n.night)].sort());
    const now: NowView = await s.now();
    const [tonight, tomorrow] = view!.nights;
    for (const p of tonight!.places) {
      const shown = now.places.find((x) => x.bedId === p.bedId)!;
      expect(p.leafC).toEqual(shown.leafC);
      expect(p.marginK).toBe(shown.marginK);
    }
    expect(tonight!.minutes).toBe(now.jobs.filter((j) => !j.done).reduce((sum, j) => sum + j.minutes, 0));
    for (const n of view!.nights) {
      expect(n.lossPlanned).toBeLessThanOrEqual(n.lossLeft + 1e-6);
      expect(n.places.length).toBeGreaterThan(10);
      expect(n.outsideC.low).toBeLessThanOrEqual(n.outsideC.high);
    }
    expect(tomorrow!.places).not.toEqual(tonight!.places);
    // chosen together: never dearer, nothing of tonight moved, and how sure it is said
    expect(view!.together!.saves).toBeGreaterThanOrEqual(0);
    expect(view!.together!.gap).toBeLessThan(0.05);
    expect(view!.together!.tonight.saves).toBeGreaterThanOrEqual(0);
    expect(view!.untilAtMs!).toBeGreaterThan(DEMO_START_MS + 100 * HOUR);
  });
});

test('an empty farm has no nights, and one without a forecast asks for it', async () => {
  const s = await startTestServer(false);
  try {
    const view = (await s.api.get('/api/ahead').expect(200)).body as AheadView;
    expect(view).toMatchObject({ nights: [], lack: null, untilAtMs: null });
  } finally {
    await s.close();
  }
});
