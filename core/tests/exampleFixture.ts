/** What examples in docstrings start from besides the tests' own fixtures: an evening that is planned, and years that are gone through, once for all. */
import type { BedTask } from '../src';
import type { WaterBed, WaterDay } from '../water';
import highs from 'highs';
import type { SparseSolver } from '../relay';
import { jobsOf, type NightPlan } from '../planning';
import {
  climateOfFarm,
  placeOf,
  plausibleYears,
  season,
  type PlaceYears,
  type Season,
  type Years,
} from '../season';
import { fitUnder } from '../src/climate/underFit';
import type { Reduced } from '../src/climate/underCover';
import { cropById, prepareWeather, runBed } from '../src';
import { evening, planned } from './eveningFixture';
import { bed, FLEECE, HOUSE, SITE, START_MS, weather } from './fixtures';

export { compileBeds } from '../src/heat/network';

/** The kept solver, as fills ask it. */
export const aSolver = async () => (await highs()) as unknown as SparseSolver;

const once = <T>(make: () => T): (() => T) => {
  let made: { it: T } | null = null;
  return () => (made ??= { it: make() }).it;
};

/** A cold evening with one fleece for two beds: the hardy one gets it, the tender one is past saving. */
export const aPlan: () => Promise<NightPlan> = once(() => planned(evening(-7, 1)));
export const aPlannedBed = async (name = 'tender') => (await aPlan()).beds.find((b) => b.bed.id === name)!;
export const itsJobs = async () => jobsOf(await aPlan());
/** A bed in a house through 48 hours of frost, as its state is at the end. */
export const anEnd = once(() => runBed(bed([HOUSE]), prepareWeather(SITE, weather())).end);
/** That bed bare and under a fleece, under one outcome. */
export const aTask = (): BedTask => ({
  site: SITE,
  members: [weather({ hours: 24 })],
  initial: anEnd(),
  options: [
    { key: 'bare', spec: bed([HOUSE]), structureLayer: 0 },
    { key: 'fleece', spec: bed([HOUSE, FLEECE]), structureLayer: 0 },
  ],
  countFromAtMs: START_MS,
});
export const aClimate = once(() => climateOfFarm(SITE, null, {}).climate);
export const someYears: () => Years = once(() => plausibleYears(aClimate(), 6, 1));
export const aPlaceOfYears: () => PlaceYears = once(() =>
  placeOf({ site: SITE, climate: aClimate(), stack: [HOUSE], ground: {}, venting: 'air' }, 6, 1),
);
export const aFit: () => Reduced = once(() => fitUnder({ site: SITE, climate: aClimate(), stack: [HOUSE] }));
export const aSeason = (crop = 'spinach'): Season => {
  const place = aPlaceOfYears();
  return season(cropById(crop), place.under, place.dayH);
};
/** What a plan's steps are given. */
export const anInputs = async () => ({
  ...(await aPlan()),
  today: '2027-01-15',
  deepC: 5,
  onlyAsIs: false,
  fixed: new Map<string, string>(),
});
/** A mild spring day, dry. */
export const aWaterDay = (): WaterDay => ({
  date: '2027-04-10',
  minC: 5,
  meanC: 11,
  maxC: 18,
  vapourKPa: 0.9,
  windMps: 2,
  sunMJ: 18,
  clearMJ: 24,
  rainMm: 0,
  hours: 24,
});
/** A bed half under leaves, in the open. */
export const aWaterBed = (): WaterBed => ({
  texture: 'loam',
  cover: { sunPassed: 1, tight: false, open: 1, warmerK: 0, rain: true },
  elevationM: 860,
  coveredOn: () => 0.5,
  rootsOn: () => 0.6,
  seedbedOn: () => false,
  mayLack: 0.4,
});
