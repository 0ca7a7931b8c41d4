/** Every address of the API that answers in JSON, each once, with what it answers. Tables, files and calendars are in docs/formats.md. */
import type { Bed, Cover, Cultivar, Planting, SeedLot, Structure } from '@fogata/core';
import { z } from 'zod';
import type { Farm } from '../farm';
import {
  aheadView,
  askView,
  bedsView,
  climateRead,
  clockView,
  compareView,
  countersView,
  cropRow,
  cutView,
  dayView,
  exchangeView,
  farmView,
  feedView,
  fillView,
  forecastView,
  importView,
  kitView,
  logView,
  mendView,
  messagesView,
  needView,
  nextView,
  nightReport,
  nightsView,
  nowView,
  placeView,
  relayView,
  ribbonView,
  scenariosView,
  seasonCropView,
  seasonView,
  seedsView,
  storyView,
  townRow,
  shadeView,
  waterView,
} from '../views';
import { ofCore, thing } from '../views/parts';
import { del, get, patch, post, put } from './call';

const done = z.undefined();
/** The log's entry of a change, to take it back by; null where it changed nothing. */
const entry = z.object({ recordId: z.string().nullable() });
const newEntry = z.object({ recordId: z.string() });
const changed = <T extends { id: string }>() => thing<T & { recordId: string | null }>();

export const api = {
  session: post('/api/session', done),
  health: get('/api/health', z.object({ status: z.literal('ok'), empty: z.boolean(), nowAtMs: z.number() })),

  // the night and the day
  now: get('/api/now', nowView),
  day: get('/api/day', dayView),
  water: get('/api/water', waterView),
  shade: get('/api/shade', shadeView),
  ahead: get('/api/ahead', aheadView),
  messages: get('/api/messages', messagesView),
  place: get('/api/places/:bedId', placeView),
  ribbon: get('/api/places/:bedId/ribbon', ribbonView),
  nights: get('/api/nights', nightsView),
  night: get('/api/nights/:night', nightReport),
  planAgain: post('/api/plan/again', done),

  // the log
  log: get('/api/log', logView),
  records: post('/api/records', z.object({ added: z.number(), known: z.number() })),

  // the farm and what is set up on it
  farm: get('/api/farm', farmView),
  patchFarm: patch('/api/farm', ofCore<Farm>()),
  clock: post('/api/clock', clockView),
  beds: get('/api/beds', bedsView),
  kit: get('/api/kit', kitView),
  cut: get('/api/kit/cut', cutView),
  crops: get('/api/crops', z.array(cropRow)),
  towns: get('/api/towns', z.array(townRow)),
  zone: get('/api/zone', z.object({ timeZone: z.string() })),
  ask: post('/api/ask', askView),
  keepAsked: post('/api/ask/keep', newEntry),
  start: post('/api/start', newEntry),
  setup: post('/api/setup', done),
  putStructure: put('/api/structures/:id', thing<Structure>()),
  putBed: put('/api/beds/:id', thing<Bed>()),
  putCover: put('/api/covers/:id', thing<Cover>()),
  dropStructure: del('/api/structures/:id', done),
  dropBed: del('/api/beds/:id', done),
  dropCover: del('/api/covers/:id', done),

  // the weather
  forecasts: get('/api/forecasts', forecastView),
  typedForecast: post('/api/forecasts/typed', z.object({ id: z.string() })),
  bringForecast: post('/api/forecasts', importView),
  useForecast: post('/api/forecasts/:id/use', done),
  dropForecast: post('/api/forecasts/:id/drop', done),
  bringTemperatures: post('/api/temperatures', importView),
  bringClimate: post('/api/climate', climateRead),
  feeds: get('/api/feeds', feedView),
  makeToken: post('/api/feeds/token', z.object({ token: z.string() })),
  voidToken: del('/api/feeds/token', done),
  makeCalendar: post('/api/feeds/calendar', z.object({ path: z.string() })),
  voidCalendar: del('/api/feeds/calendar', done),
  poll: put('/api/feeds/poll', feedView),

  // the season
  season: get('/api/season', seasonView),
  seasonCrop: get('/api/season/:crop', seasonCropView),
  seasonAgain: post('/api/season/again', done),
  need: get('/api/season/:crop/need', needView),
  compare: get('/api/compare', compareView),
  counters: get('/api/counters', countersView),
  story: get('/api/plantings/:id/story', storyView),
  mend: get('/api/plantings/:id/mend', mendView),
  putPlanting: put(
    '/api/plantings/:id',
    z.object({ planting: thing<Planting>(), recordId: z.string().nullable() }),
  ),
  clearPlanting: post(
    '/api/plantings/:id/clear',
    z.object({ planting: thing<Planting>(), recordId: z.string().nullable() }),
  ),
  putPlantings: post('/api/plantings/many', newEntry),
  seeds: get('/api/seeds', seedsView),
  putCultivar: put('/api/cultivars/:id', changed<Cultivar>()),
  putLot: put('/api/lots/:id', changed<SeedLot>()),
  dropCultivar: del('/api/cultivars/:id', entry),
  dropLot: del('/api/lots/:id', entry),
  packet: post('/api/packets', newEntry),

  // rows through the year
  relay: get('/api/relay', relayView),
  next: get('/api/relay/next', nextView),
  fill: get('/api/relay/fill', fillView),
  startFill: post('/api/relay/fill', fillView),
  stopFill: del('/api/relay/fill', fillView),
  scenarios: get('/api/scenarios', scenariosView),
  keepScenario: post('/api/scenarios', z.object({ id: z.string() })),
  takeScenario: post('/api/scenarios/:id/take', entry),
  dropScenario: del('/api/scenarios/:id', done),

  // files that are brought
  bringFarm: post('/api/farm/file', exchangeView),
  bringMap: post('/api/farm/geojson', exchangeView),
  bringStock: post('/api/kit/stock', exchangeView),
  bringPlantings: post('/api/plantings', exchangeView),
  bringCultivars: post('/api/seeds/cultivars', exchangeView),
  bringLibrary: post('/api/seeds/library', exchangeView),
  bringLots: post('/api/seeds/lots', exchangeView),
} as const;
