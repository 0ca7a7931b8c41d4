/** A whole evening, from a farm and its weather to the list of jobs, with no server: the solver is the kept one. */
import { jobsOf, nightAt, type NightPlan } from '../planning';
import { evening, farm, MILD, NOW, planned, style } from './eveningFixture';
import { told } from '../words';

const chosen = (plan: NightPlan) => Object.fromEntries(plan.beds.map((b) => [b.bed.id, b.chosen]));

test('the one sheet there is goes on what would lose more, by its time, and says what it saves', async () => {
  const plan = await planned(evening(1, 1));
  expect(chosen(plan)).toEqual({ hardy: 'bare', tender: 'fleece' });
  const [job, ...rest] = told(jobsOf(plan), style);
  expect(rest).toEqual([]);
  expect(job).toMatchObject({ kind: 'cover', done: false, planKeys: { tender: 'fleece' } });
  expect(job!.dueAtMs).toBeGreaterThanOrEqual(NOW);
  expect(job!.dueAtMs + job!.minutes * 60_000).toBeLessThanOrEqual(job!.onByAtMs + 60_000);
  const tender = plan.beds.find((b) => b.bed.id === 'tender')!;
  expect(job!.saves).toBeCloseTo(tender.loss['as-is']! - tender.loss['fleece']!, 6);
  expect(job!.saves).toBeGreaterThan(1);
});

test('on a mild night nothing is carried out, and what lies there stays where it lies', async () => {
  const laid = {
    kind: 'cover',
    id: 'r',
    atMs: NOW - 3_600_000,
    bedId: 'tender',
    coverId: 'fleece',
    on: true,
  };
  expect(chosen(await planned(evening(MILD, 2)))).toEqual({ hardy: 'bare', tender: 'bare' });
  const plan = await planned(evening(1, 1, [laid]));
  expect(chosen(plan).tender).toBe('fleece');
  expect(told(jobsOf(plan), style).every((j) => j.done)).toBe(true);
});

test("the grower's own word stands, and is taken back by the next one", async () => {
  const { night } = nightAt(NOW, farm).window;
  const say = (id: string, key: string | null) => ({
    kind: 'decision',
    id,
    atMs: NOW,
    night,
    bedId: 'hardy',
    key,
    verdict: 'changed' as const,
  });
  expect(chosen(await planned(evening(1, 1, [say('d1', 'fleece')])))).toMatchObject({ hardy: 'fleece' });
  expect(chosen(await planned(evening(1, 1, [say('d1', 'fleece'), say('d2', null)])))).toMatchObject({
    hardy: 'bare',
    tender: 'fleece',
  });
});

test('a third sheet goes on where two leave more to lose than it takes to lay it, and nowhere else', async () => {
  const sheetsOn = (plan: NightPlan) =>
    Object.fromEntries(
      plan.beds.map((b) => [b.bed.id, b.chosen === 'bare' ? 0 : b.chosen.split('+').length]),
    );
  const tried = (plan: NightPlan) => plan.beds.flatMap((b) => b.options).filter((o) => o.covers.length === 3);
  const cool = await planned(evening(6, 6));
  expect(tried(cool)).toEqual([]);
  const bitter = await planned(evening(1, 6));
  expect(tried(bitter).length).toBeGreaterThan(0);
  expect(sheetsOn(bitter).tender).toBe(3);
  const tender = bitter.beds.find((b) => b.bed.id === 'tender')!;
  expect(tender.loss['fleece+fleece+fleece']!).toBeLessThan(tender.loss['fleece+fleece']!);
  // and the jobs lay as many
  expect(told(jobsOf(bitter), style).flatMap((j) => Object.values(j.planKeys))).toContain(
    'fleece+fleece+fleece',
  );
  // with two sheets in the shed there is no third to think of
  expect(tried(await planned(evening(1, 2)))).toEqual([]);
});

test('three sheets stay three where the grower has said yes to them, and where they ask for them by themselves', async () => {
  const { night } = nightAt(NOW, farm).window;
  const key = 'fleece+fleece+fleece';
  const said = (verdict: 'accepted' | 'changed') => ({
    kind: 'decision',
    id: 'd',
    atMs: NOW,
    night,
    bedId: 'tender',
    key,
    verdict,
  });
  const bitter = await planned(evening(1, 6, [said('accepted')]));
  expect(chosen(bitter).tender).toBe(key);
  // on a mild night nobody would lay them but the one who says so
  const mild = await planned(evening(MILD, 6, [said('changed')]));
  expect(chosen(mild)).toEqual({ hardy: 'bare', tender: key });
  expect(told(jobsOf(mild), style).flatMap((j) => Object.values(j.planKeys))).toContain(key);
});

describe('hours in which nobody is there at dusk', () => {
  /** The farm's clock says three; nobody is there from `from` to `to`. */
  const away = async (from: string, to: string) => {
    const e = evening(1, 2);
    const hours = [{ days: [0, 1, 2, 3, 4, 5, 6], on: null, from, to }];
    return planned({ ...e, data: { ...e.data, farm: { ...e.data.farm, away: hours } } });
  };
  const ends = (plan: NightPlan) =>
    told(jobsOf(plan), style)
      .filter((j) => !j.done)
      .map((j) => j.dueAtMs + j.minutes * 60_000);

  test('everything is on before the last one leaves, and costs what lying since then costs', async () => {
    const plan = await away('16:30', '20:00');
    const leaves = NOW + 1.5 * 3_600_000;
    expect(plan.leavesAtMs).toBe(leaves);
    expect(ends(plan).length).toBeGreaterThan(0);
    for (const ms of ends(plan)) expect(ms).toBeLessThanOrEqual(leaves + 60_000);
    for (const j of told(jobsOf(plan), style)) expect(j.why).not.toContain('as soon as you can');
  });

  test('who has left already does it when they are back; who is back by then is not asked to hurry', async () => {
    const gone = await away('12:00', '19:30');
    expect(gone.leavesAtMs).toBeUndefined();
    expect(gone.closeAtMs).toBe(NOW + 4.5 * 3_600_000);
    const back = await away('12:00', '16:00');
    expect(back.closeAtMs).toBe((await planned(evening(1, 2))).closeAtMs);
  });
});
