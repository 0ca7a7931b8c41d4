/** Weather that came: a table looked at, and the forecasts there are. */
import type { TypedForecast, WeatherEntry } from '@fogata/core';

export interface ImportView {
  taken: boolean;
  rows: number;
  fromMs: number | null;
  toMs: number | null;
  minC: number | null;
  columns: { header: string; meaning: string }[];
  badRows: { row: number; reason: string }[];
  preview: WeatherEntry[];
  /** What the table lacks and was estimated. */
  estimated: string[];
}

export interface ForecastView {
  imported: {
    id: string;
    name: string;
    source: 'typed' | 'file' | 'push' | 'poll';
    issuedMs: number;
    importedMs: number;
    fromMs: number;
    toMs: number;
    active: boolean;
    typed: TypedForecast | null;
  }[];
  /** The one that tonight goes by; null where none reaches through it. */
  using: string | null;
}
