/** The school of years: begin where enough of them come off. Contract: `byRisk` gives a window for each half year from the rows of dates. */
import { monthDayOf } from '../climate/climate';
import { FAILURES, type DateRow, type Failure } from './dates';
import { none, wrap, type Half, type Reason, type Window } from './window';

/** What goes wrong most in a row. */
function worst(row: DateRow): { id: Failure; share: number } {
  return FAILURES.map((id) => ({ id, share: row[id] })).reduce((a, b) => (b.share > a.share ? b : a));
}

export function byRisk(rows: readonly DateRow[], risk: number, latitude: number): Window[] {
  const half = (season: Half): DateRow[] => {
    // the half year from midsummer on is autumn's, the other spring's
    const start = (season === 'autumn') === latitude >= 0 ? 171 : 354;
    return [...rows]
      .map((r) => ({ r, k: wrap(r.day - start) }))
      .filter(({ k }) => k < 183)
      .sort((a, b) => a.k - b.k)
      .map(({ r }) => r);
  };
  return (['autumn', 'spring'] as const).map((season): Window => {
    const list = half(season);
    let bestRun: [number, number] | null = null;
    let weight = -1;
    for (let i = 0; i < list.length; i++) {
      if (list[i]!.success < 1 - risk) continue;
      let j = i;
      let sum = 0;
      while (j < list.length && list[j]!.success >= 1 - risk) sum += list[j++]!.success;
      if (sum > weight) {
        weight = sum;
        bestRun = [i, j - 1];
      }
      i = j;
    }
    const top = list.reduce((a, b) => (b.success > a.success ? b : a));
    if (!bestRun) {
      const why = worst(top);
      return none('risk', season, 'none-come-off', {
        share: top.success,
        date: monthDayOf(top.day),
        failure: why.id,
      });
    }
    const [a, b] = bestRun;
    const run = list.slice(a, b + 1);
    const high = Math.max(...run.map((r) => r.success));
    const bests = run.filter((r) => r.success >= high - 0.005);
    const best = bests[bests.length >> 1]!;
    const edge = (which: 'earliest' | 'latest', row: DateRow | undefined): Reason[] =>
      row
        ? [
            {
              edge: which,
              id: which === 'earliest' ? 'fails-before' : 'fails-after',
              values: { failure: worst(row).id, share: worst(row).share, date: monthDayOf(row.day) },
            },
          ]
        : [{ edge: which, id: 'all-year', values: {} }];
    return {
      school: 'risk',
      season,
      earliest: run[0]!.day,
      best: best.day,
      latest: run.at(-1)!.day,
      reasons: [
        ...edge('earliest', list[a - 1]),
        { edge: 'best', id: 'most-come-off', values: { share: best.success } },
        ...edge('latest', list[b + 1]),
      ],
    };
  });
}
