/** What a night's plan depends on. Contract: two states of a farm with one key have one plan; a key changes every quarter of an hour. */
import { HOUR_MS, nightOf } from '@fogata/core';
import { createHash } from 'node:crypto';
import type { FarmData } from '../farm/store';

/** Identity of a computation: the hour, the farm as it is set up, what is on, what the grower decided, the forecast. */
export function stateKey(data: FarmData, weatherKey: string, nowAtMs: number): string {
  const { night } = nightOf(nowAtMs, data.farm);
  const bearing = ['cover', 'vent', 'decision', 'harm'];
  const relevant = data.records
    // what was read in nights before teaches this one
    .filter(({ record: r }) => bearing.includes(r.kind) || (r.kind === 'reading' && r.night < night))
    .map((r) => r.record.id);
  const { latitude, longitude, elevationM, timeZone, hourlyRate, hands, schools, away } = data.farm;
  const body = [
    Math.floor(nowAtMs / (HOUR_MS / 4)),
    latitude,
    longitude,
    elevationM,
    timeZone,
    hourlyRate,
    hands,
    schools,
    away,
    data.structures,
    data.beds,
    data.plantings,
    data.covers,
    relevant,
    weatherKey,
  ];
  return createHash('sha1').update(JSON.stringify(body)).digest('hex');
}
