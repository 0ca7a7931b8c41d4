/**
 * A night's plan from a farm, its weather and the moment. Contract: `nightAt` says which night it is and which hours it needs;
 * `begin` gives the plan with no bed in it yet and `run`, which fills it by the hands it is given. Nothing is stored here.
 */
import { REST_ERROR_K, type Belief } from '../calibration/belief';
import { awayOn } from '../day/away';
import { standingIn, type FarmFacts } from '../farm/facts';
import type { FarmSite } from '../farm/types';
import type { WeatherEntry } from '../heat/types';
import type { Lain } from '../log/apply';
import { HOUR_MS, localDate, nightOf, phaseOf, type NightWindow, type Phase } from '../time/farmTime';
import { doubtK, type Issue, type PastHours } from '../weather/record';
import { otherHands } from './choice';
import type { Measured } from './parting';
import type { KeptAir } from './airs';
import { workOut } from './plan';
import type { WasAt } from './house';
import type { Background, NightPlan, PlannedBed, Work, Workers } from './planned';
import { HISTORY_MS, roofsOf, type TaskInputs } from './tasks';

export interface NightAt {
  window: NightWindow;
  phase: Phase;
  /** The farm's date. */
  today: string;
  /** The hours that were, and those that the forecast has to reach: from, now, to the end, and on for what is tried. */
  pastAtMs: number;
  hourAtMs: number;
  endAtMs: number;
  aheadAtMs: number;
}

/** @example nightAt(Date.parse('2027-01-15T14:00:00Z'), { ...SITE, timeZone: 'Europe/Madrid' }).window.night // '2027-01-15' */
export function nightAt(nowAtMs: number, site: FarmSite): NightAt {
  const window = nightOf(nowAtMs, site);
  const hourAtMs = Math.floor(nowAtMs / HOUR_MS) * HOUR_MS;
  const endAtMs = window.toAtMs + 3 * HOUR_MS;
  return {
    window,
    phase: phaseOf(nowAtMs, window),
    today: localDate(nowAtMs, site.timeZone),
    pastAtMs: hourAtMs - HISTORY_MS,
    hourAtMs,
    endAtMs,
    aheadAtMs: endAtMs + 8 * HOUR_MS,
  };
}

/**
 * Whether anything stands on the farm that a night could harm.
 * @example anythingStands({ beds: [aBed()], plantings: [] }, '2027-01-14') // false
 */
export function anythingStands(data: FarmFacts, today: string): boolean {
  return data.beds.some((b) => standingIn(b.id, data.plantings, today).length > 0);
}

/** What is known of the weather: the days that were, and the forecast from the last full hour to the night's end. */
export interface EveningWeather {
  past: PastHours;
  members: WeatherEntry[][];
  /** The centre on through the next day. */
  ahead: WeatherEntry[];
  issuedAtMs: number;
  name: string;
  source: Issue['source'];
}

export interface Evening {
  data: FarmFacts;
  state: Lain;
  nowAtMs: number;
  at: NightAt;
  weather: EveningWeather;
  background: Background;
  beliefs: Map<string, Belief>;
  /** By structure: what its thermometer showed in the last hours. */
  measured?: ReadonlyMap<string, readonly Measured[]>;
  /** What houses' options were priced in when the night was last worked out; it is read and written. */
  airs?: Map<string, KeptAir>;
  /** Nights that will be chosen together with this one, itself included; one unless said. */
  together?: number;
  /** Of a night that follows on one that was worked out: by bed, what the days before had left by then. */
  since?: ReadonlyMap<string, WasAt>;
}

/** What is told on the way. */
export interface Told {
  /** Beds as they stand, as soon as they are known. */
  onBeds?: (beds: PlannedBed[]) => void;
  /** A first choice from a few members, where the night was not worked out before. */
  onFirst?: (plan: NightPlan) => void;
  /** Each bed whose covers have all been looked at. */
  onLooked?: () => void;
  /** Where it is enough to know what is chosen: what is shown of it, still being run. */
  onShown?: (shown: Promise<unknown>) => void;
}

export interface Begun {
  plan: NightPlan;
  /** Beds that will be looked at. */
  beds: number;
  run(
    workers: Workers,
    signal: AbortSignal,
    before?: ReadonlyMap<string, string>,
    told?: Told,
  ): Promise<NightPlan>;
}

/** The grower's own word for tonight, by bed: the last one counts. */
function wishes(state: Lain, night: string): Map<string, string> {
  const fixed = new Map<string, string>();
  for (const d of state.decisions) {
    if (d.night !== night) continue;
    if (d.key === null) fixed.delete(d.bedId);
    else fixed.set(d.bedId, d.key);
  }
  return fixed;
}

/** Too little time to do anything before leaving. */
const LEAST_MS = HOUR_MS / 6;

/** Where nobody is there at dusk it is done before the last one leaves; by who has left already, when they are back. */
function whoIsThere(data: FarmFacts, nowAtMs: number, usualAtMs: number, darkAtMs: number) {
  const away = awayOn(usualAtMs, data.farm.away ?? [], data.farm.timeZone).find(
    (s) => s.fromAtMs < darkAtMs && s.toAtMs > usualAtMs,
  );
  if (!away) return { closeAtMs: usualAtMs, leavesAtMs: undefined };
  if (away.fromAtMs - nowAtMs < LEAST_MS)
    return { closeAtMs: Math.max(usualAtMs, away.toAtMs), leavesAtMs: undefined };
  return { closeAtMs: Math.min(usualAtMs, away.fromAtMs), leavesAtMs: away.fromAtMs };
}

/**
 * An evening to be planned: the plan to fill, how many beds, and `run`, which works it out.
 * @example begin(evening(-7, 1)).beds // 2
 */
export function begin(e: Evening): Begun {
  const { data, state, nowAtMs, weather, background, beliefs } = e;
  const { window, phase, today } = e.at;
  const sunset = window.sunsetAtMs ?? window.fromAtMs + 6 * HOUR_MS;
  const usual = Math.max(nowAtMs, sunset - HOUR_MS);
  const { closeAtMs, leavesAtMs } = whoIsThere(data, nowAtMs, usual, sunset + HOUR_MS / 2);
  const { members } = weather;
  const history = weather.past.hours;
  const inputs: TaskInputs = {
    data,
    state,
    nowAtMs,
    today,
    window,
    history,
    members,
    deepC: background.deepC,
    closeAtMs,
    leavesAtMs,
    onlyAsIs: phase === 'morning',
    fixed: wishes(state, window.night),
    beliefs,
    ...(e.measured ? { measured: e.measured } : {}),
  };
  const roofs = roofsOf(inputs);
  const plan: NightPlan = {
    nowAtMs,
    window,
    phase,
    closeAtMs,
    leavesAtMs,
    issuedAtMs: weather.issuedAtMs,
    forecastName: weather.name,
    source: weather.source,
    worth: weather.past.worth,
    errorK: Math.hypot(REST_ERROR_K, doubtK(weather.past.worth)),
    centre: members[0]!,
    ahead: weather.ahead,
    history,
    members,
    beds: [],
    beliefs,
    spots: new Map(),
    data,
    state,
  };
  return {
    plan,
    beds: roofs.reduce((n, r) => n + r.beds.length, 0),
    run: async (workers, signal, before = new Map(), told = {}) => {
      const work: Work = {
        inputs,
        roofs,
        background,
        phase,
        pool: workers,
        signal,
        errorK: plan.errorK,
        worth: plan.worth,
        before,
        ...(e.airs ? { airs: e.airs } : {}),
        together: e.together ?? 1,
        since: e.since,
        onSpot: (id, spot) => plan.spots.set(id, spot),
      };
      const { onFirst, ...rest } = told;
      const first = onFirst && ((beds: PlannedBed[]) => onFirst({ ...plan, beds }));
      plan.beds = await workOut(work, { ...rest, ...(first ? { onFirst: first } : {}) });
      // of a night that is one of several it is never told
      if (work.together === 1) plan.otherHands = await otherHands(plan.beds, work);
      return plan;
    },
  };
}
