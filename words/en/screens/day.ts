/** Words of the day: what is to be opened, storms, thermometers, hours away, by the part that says them. */
import { countWord } from '../told/counts';

const ORDINAL = ['', 'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh'];

export const dayRows = {
  aFingersWidth: 'a finger’s width',
  aTenth: 'a tenth',
  aQuarter: 'a quarter',
  shut: (name: string) => `Shut ${name}`,
  open: (name: string, widthWords: string) => `Open ${name} ${widthWords}`,
  to: (name: string, widthWords: string) => `${name} to ${widthWords}`,
  shadeClothMakesIt: (mid: string) => `shade cloth makes it ${mid}`,
  aLightFabricInPlace: (mid: string) => `a light fabric in place of the film ${mid}`,
  theLidsRightOff: (mid: string) => `the lids right off ${mid}`,
  someMinutesOfMistTake: (mistK: string) => `some minutes of mist take off about ${mistK} while they last`,
  openingIsNotEnough: (ways: readonly string[]) => `Opening is not enough: ${ways.join(', ')}.`,
  dayInARow: ({ days, limit, more, crop }: { days: number; limit: string; more: number; crop: string }) => {
    const ends =
      more === 1
        ? `one more ends the ${crop}`
        : more > 1
          ? `${countWord(more)} more end the ${crop}`
          : `the ${crop} will hardly come to anything`;
    return `The ${ORDINAL[days] ?? `${days}th`} day in a row over ${limit}: ${ends}.`;
  },
  theMixInPots: (potsC: string) =>
    `The mix in pots and crates comes to ${potsC}: shade their sides, water early.`,
  hotterByThen: 'hotter by then',
  colderByThen: 'colder by then',
  anHourLate: (said: string) => ` (an hour late: ${said})`,
  then: (after: string) => `Then ${after}. `,
  leafAtItsHottest: (mid: string) => `Leaf ${mid} at its hottest`,
  itMayStayAsIt: ({ planned, open, moreWords }: { planned: string; open: number; moreWords: string }) =>
    `${planned}: it may stay ${open > 0 ? 'as it is' : 'shut'}.${moreWords}`,
  andSpoilsOver: (crop: string, limitC: string) => `, and ${crop} spoils over ${limitC}`,
  anHourLate2: (mid: string) => ` An hour late ${mid}.`,
  nobodyIsThereForHours: (high: string, high2: string) =>
    ` Nobody is there for hours: nine times in ten it stays under ${high}, with somebody there ${high2}.`,
  leftAsItIs: ({
    then,
    planned,
    mid,
    over,
    late,
    there,
    more,
  }: {
    then: string;
    planned: string;
    mid: string;
    over: string;
    late: string;
    there: string;
    more: string;
  }) => `${then}${planned}; left as it is ${mid}${over}.${late}${there}${more}`,
  markItDone: (title: string) => `${title}: mark it done`,
  done: (title: string) => `${title}: done`,
  whatIsToBeOpened: 'What is to be opened could not be worked out.',
  workingOutWhatIsTo: 'Working out what is to be opened…',
  untilTheEvening: 'until the evening',
  toOpenToday: 'To open today',
  fromTo: (fromAtMs: string, toAtMs: string) => `from ${fromAtMs} to ${toAtMs}`,
  nobodyIsHereEachIs: (map: string) => `▲ Nobody is here ${map}: each is left at what is safest till then.`,
  whenNobodyIsHere: 'When nobody is here ›',
  notEveryStructureCouldBe: 'Not every structure could be worked out.',
  byTheForecastsMiddleFor:
    'By the forecast’s middle, for the crop there that bears the least heat. A closed house in the sun harms people too: open in time, and look at the thermometer.',
};

export const stormRows = {
  inTheNextDayAnd: 'in the next day and a half',
  windAndSnow: 'Wind and snow',
  byWhy: (title: string, byAtMs: string) => `${title}, by ${byAtMs}. Why`,
  doneMarkItDone: (title: string, done: boolean) => `${title}: ${done ? 'done' : 'mark it done'}`,
  done: (title: string) => `${title}: done`,
};

export const awaySettings = {
  sundays: 'Sundays',
  mondays: 'Mondays',
  tuesdays: 'Tuesdays',
  wednesdays: 'Wednesdays',
  thursdays: 'Thursdays',
  fridays: 'Fridays',
  saturdays: 'Saturdays',
  today: 'Today',
  everyDay: 'Every day',
  workingDays: 'Working days',
  to: ({ when, hourText, hourText2 }: { when: string; hourText: string; hourText2: string }) =>
    `${when}, ${hourText} to ${hourText2}`,
  when: 'When',
  today2: 'today',
  workingDays2: 'working days',
  everyDay2: 'every day',
  from: 'From',
  until: 'Until',
  away: (awayWords: string) => `Away: ${awayWords}`,
  hoursAway: 'Hours away',
  takeOut: 'Take out',
  takeOut2: (awayWords: string) => `Take out: ${awayWords}`,
  nobodyIsHereForSome: (count: number) => (count === 0 ? 'Nobody is here for some hours' : 'More hours away'),
};

export const messageLines = {
  messages: 'Messages',
  told: (parse: string, parse2: string) => `told ${parse}, ${parse2}`,
  read: 'Read',
  readPutItAside: (title: string) => `${title}: read, put it aside`,
  putAllAside: (count: number) => `Put all ${count} aside`,
};

export const spotLines = {
  measuredByTheModel: 'measured · by the model',
  thermometers: 'Thermometers',
  atMeasuredByTheModel: ({
    name,
    atMs,
    measuredC,
    modelC,
    parted,
  }: {
    name: string;
    atMs: string;
    measuredC: string;
    modelC: string;
    parted: null | string;
  }) => `${name} at ${atMs}: measured ${measuredC}, by the model ${modelC}. ${parted ?? ''}`,
};
