/**
 * Where weather and temperatures come from. Contract: each port may have nothing, and says so by an empty answer; a real farm
 * is served by what was typed, brought, pushed or polled (`kept.ts`), the demo by the stand-ins (`../standins`).
 */
import type { BedSpec, Issue, Site, WeatherEntry } from '@fogata/core';

/** What was issued by `nowAtMs`, reaches past `fromAtMs` and was not set aside by the grower, the one to go by first. */
export interface IssuedWeather {
  issues(nowAtMs: number, fromAtMs: number): Promise<Issue[]>;
}

/** What a station measured, hourly. */
export interface ObservedWeather {
  hours(fromAtMs: number, toAtMs: number): Promise<WeatherEntry[]>;
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
  /** Lowest and highest since `fromAtMs` up to `toAtMs`; null where nothing was measured there. */
  read(spot: ThermometerSpot, fromAtMs: number, toAtMs: number): Promise<MinMax | null>;
}

export interface Sources {
  /** Changes with every forecast and measurement that comes, is set aside or taken back. */
  revision(nowAtMs: number): Promise<string>;
  issued: IssuedWeather;
  observed: ObservedWeather;
  thermometers: Thermometers;
}
