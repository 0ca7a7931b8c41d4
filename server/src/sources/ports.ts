/**
 * Where weather and temperatures come from. Contract: each port may have nothing, and says so by an empty answer; a real farm
 * is served by what was typed, brought, pushed or polled (`kept.ts`), the demo by the stand-ins (`../standins`).
 */
import type { BedSpec, Issue, Site, WeatherEntry } from '@fogata/core';

/** What was issued by `nowMs`, reaches past `fromMs` and was not set aside by the grower, the one to go by first. */
export interface IssuedWeather {
  issues(nowMs: number, fromMs: number): Promise<Issue[]>;
}

/** What a station measured, hourly. */
export interface ObservedWeather {
  hours(fromMs: number, toMs: number): Promise<WeatherEntry[]>;
}

export interface MinMax {
  minC: number;
  maxC: number;
}

/** A place where a thermometer hangs: outside, or a structure with its beds as they were covered. */
export interface ThermometerSpot {
  id: string;
  /** The beds of the structure, the one it hangs over first; null for outside. */
  specs: BedSpec[] | null;
  /** Place of the structure in the stack. */
  structureLayer: number;
  site: Site;
  /** Hourly, from some days before. */
  weather: WeatherEntry[];
}

export interface Thermometers {
  /** Lowest and highest since `fromMs` up to `toMs`; null where nothing was measured there. */
  read(spot: ThermometerSpot, fromMs: number, toMs: number): Promise<MinMax | null>;
}

export interface Sources {
  /** Changes with every forecast and measurement that comes, is set aside or taken back. */
  revision(nowMs: number): Promise<string>;
  issued: IssuedWeather;
  observed: ObservedWeather;
  thermometers: Thermometers;
}
