/**
 * What a plan's weeks are worth. Contract: `market` says what sells when and for how much, in steps from the dearest to the cheapest;
 * `worth` sells what there is in each week as well as it can be sold. The programme (`fillProblem.ts`) has the same steps, so that
 * its value is this one, to the last cent.
 *
 * What is asked for by name sells first; what is asked for whatever it is, next, no crop more than its share of it; the rest for
 * little. Where nobody asks for anything, so many kilos of a crop a week at its full value, and more for four tenths.
 */
import { askedIn, kgBetween, WEEK } from './supply';
import { unitsPerM, type FillAsk } from './fill';

export interface Step {
  /** Money for a unit. */
  price: number;
  /** Units of the crop in the week. */
  most: number;
  /** Counts against what is asked for of everything. */
  boxed: boolean;
}

export interface Market {
  /** Crops by their place, as the steps have them. */
  crops: string[];
  /** By crop and week, the dearest first. */
  steps: Step[][][];
  /** By week: what is asked for of everything; null where nobody asks. */
  boxes: (number | null)[];
  /** By crop and week: what there is already. */
  there: Float64Array[];
}

/** Of what is asked for whatever it is, no crop more than this share, by what the gaps are filled for. */
const BOX_SHARE = { value: 0.5, supply: 0.5, variety: 0.25 } as const;
const OF_VARIETY = 1 / 3;
const REST = { asked: 0.15, free: 0.4 } as const;
/** What meets a need counts so much more than its price where supply is what counts: as many times the usual price. */
const NEED = 3;

/**
 * What each crop is worth by week, in steps, over what there is already.
 * @example market(anAsk([aBedOf('a')], ['radish'], 30)).crops // ['radish']
 */
export function market(ask: FillAsk): Market {
  // what stands sells as well, whether more of it may be grown or not
  const standing = ask.strips.map(({ crop }) => ({ crop, valuePerM: crop.valuePerM }));
  const whats = [...new Map([...standing, ...ask.crops].map((w) => [w.crop.id, w])).values()].filter(
    (w) => w.crop.habit !== 'none',
  );
  const price = (w: (typeof whats)[number]) => w.valuePerM / unitsPerM(w.crop);
  const prices = whats.map(price).sort((a, b) => a - b);
  const usual = prices[prices.length >> 1] ?? 0;
  const more = ask.aim === 'supply' ? NEED * usual : 0;
  const anyAsked = ask.demand.length > 0;
  const weekDays = Array.from({ length: ask.weeks }, (_, w) => ask.fromDay + w * WEEK);
  const asked = weekDays.map((day) => askedIn(ask.demand, day));
  const sells = ask.sellsKg * (ask.aim === 'variety' ? OF_VARIETY : 1);
  const steps = whats.map((w) =>
    asked.map((in_): Step[] => {
      const p = price(w);
      if (!anyAsked)
        return [
          { price: p, most: sells, boxed: false },
          { price: REST.free * p, most: Infinity, boxed: false },
        ];
      const box = in_.get('') ?? 0;
      return [
        { price: p + more, most: in_.get(w.crop.id) ?? 0, boxed: false },
        { price: p + more, most: box * BOX_SHARE[ask.aim], boxed: true },
        { price: REST.asked * p, most: Infinity, boxed: false },
      ];
    }),
  );
  const there = whats.map((w) =>
    Float64Array.from(weekDays, (day) =>
      ask.strips
        .filter((s) => s.crop.id === w.crop.id)
        .reduce((sum, s) => sum + kgBetween(s, day, day + WEEK) * (s.odds?.success ?? 1), 0),
    ),
  );
  return {
    crops: whats.map((w) => w.crop.id),
    steps,
    boxes: asked.map((m) => (anyAsked ? (m.get('') ?? 0) : null)),
    there,
  };
}

/**
 * Money for what there is and what a plan adds, `added` by crop and week.
 * @example worth(market(anAsk([aBedOf('a')], ['radish'], 30)), [new Float64Array(12)]) // 0
 */
export function worth(m: Market, added: readonly Float64Array[]): number {
  let money = 0;
  for (let w = 0; w < m.boxes.length; w++) {
    const boxed: { price: number; units: number; rest: Step }[] = [];
    m.crops.forEach((_, c) => {
      let left = m.there[c]![w]! + (added[c]?.[w] ?? 0);
      const steps = m.steps[c]![w]!;
      for (const step of steps) {
        const sold = Math.min(left, step.most);
        if (sold <= 0) continue;
        left -= sold;
        if (step.boxed) boxed.push({ price: step.price, units: sold, rest: steps.at(-1)! });
        else money += sold * step.price;
      }
    });
    // the box takes what gains most over the rest
    let room = m.boxes[w] ?? Infinity;
    boxed.sort((a, b) => b.price - b.rest.price - (a.price - a.rest.price));
    for (const b of boxed) {
      const taken = Math.min(room, b.units);
      room -= taken;
      money += taken * b.price + (b.units - taken) * b.rest.price;
    }
  }
  return money;
}
