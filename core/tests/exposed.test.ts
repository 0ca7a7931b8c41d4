/** Light sheets in wind and snow: what lies in the open may be gone by the morning, and the plan reckons with it. */
import { failShare, withoutExposed } from '../src/covers/exposed';
import { jobsOf } from '../planning';
import { evening, planned, style } from './eveningFixture';
import { aCover, weather } from './fixtures';
import { told } from '../words';

const HOUR = 3_600_000;
const night = (windMs: number, snowMm = 0) => weather({ windMs, hours: 24 }).map((e) => ({ ...e, snowMm }));
const from = Date.parse(night(0)[0]!.time);
const fails = (
  c: Parameters<typeof aCover>[0],
  kind: 'open' | 'house' | 'tunnel',
  windMs: number,
  snowMm = 0,
) => failShare([aCover(c)], { kind }, [night(windMs, snowMm)], from, from + 24 * HOUR);

test('a light fleece in the open lifts before a blanket does, and none stays in a storm', () => {
  const fleece = { material: 'fleece-17' } as const;
  const blanket = { material: 'frost-blanket' } as const;
  expect(fails(fleece, 'open', 5)).toBe(0);
  expect(fails(fleece, 'open', 12)).toBeCloseTo(0.5, 6);
  expect(fails(blanket, 'open', 12)).toBe(0);
  expect(fails(blanket, 'open', 25)).toBe(1);
  expect(fails({ material: 'frost-blanket', condition: 'torn' }, 'open', 12)).toBeCloseTo(0.5, 6);
});

test('snow lies on hoops of a bed, not on what is laid flat; under a roof neither comes', () => {
  expect(fails({ use: 'hoops' }, 'open', 0, 1)).toBe(1);
  expect(fails({ use: 'flat' }, 'open', 0, 1)).toBe(0);
  expect(fails({ use: 'hoops' }, 'house', 25, 1)).toBe(0);
  expect(fails({ use: 'flat' }, 'tunnel', 25)).toBe(0);
  expect(fails({ use: 'over' }, 'tunnel', 25)).toBe(1);
  const [over, inner] = [aCover({ use: 'over' }), aCover({ use: 'flat' })];
  expect(withoutExposed([over, inner], { kind: 'tunnel' })).toEqual([inner]);
});

test('in a gale what a sheet saves in the open is worth that much less, and its job says so', async () => {
  const e = evening(3, 2, [], { structure: { kind: 'open' } });
  const windy = (w: number) => e.weather.members.map((m) => m.map((x) => ({ ...x, windMs: w })));
  const plan = async (w: number) => planned({ ...e, weather: { ...e.weather, members: windy(w) } });
  const [still, gale] = [await plan(4), await plan(12)];
  const tender = (p: typeof still) => p.beds.find((b) => b.bed.id === 'tender')!;
  expect(tender(still).loss).toEqual(tender(still).calm);
  const b = tender(gale);
  expect(b.calm['bare']!).toBeGreaterThan(b.calm['fleece']!);
  expect(b.loss['fleece']!).toBeGreaterThan(b.calm['fleece']!);
  expect(b.loss['fleece']!).toBeLessThan(b.loss['bare']!);
  expect(
    told(jobsOf(gale), style)
      .map((j) => j.why)
      .join(' '),
  ).toMatch(/Wind or snow takes it off in \d of 10 outcomes/);
});
