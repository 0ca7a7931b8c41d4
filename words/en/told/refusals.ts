/** What the server does not take, and why: the field first, then what is expected. */

const THING = {
  bed: 'bed',
  cover: 'cover',
  cultivar: 'cultivar',
  farm: 'farm',
  forecast: 'forecast',
  lot: 'packet of seed',
  night: 'night',
  nightOfBed: 'night for this bed yet',
  plan: 'plan',
  planting: 'planting',
  structure: 'structure',
};

const TARGET = {
  bed: 'a bed',
  cover: 'a cover',
  structure: 'a structure',
  planting: 'a planting',
  spot: 'outside or a structure',
};

export const refusals = {
  'refuse.noSuch': (v: { what: keyof typeof THING }) => `There is no such ${THING[v.what]}.`,
  'refuse.letters': (v: { bad: string }) =>
    `${v.bad}: expected letters that can be kept; one of them cannot.`,
  'refuse.notJson': () => 'The request is not valid JSON.',
  'refuse.tooLarge': () => 'The file is larger than 8 MB.',
  'refuse.contentType': () => 'content-type: expected JSON in UTF-8.',
  'refuse.address': () => 'The address is not well formed.',
  'refuse.text': () => 'text: expected letters that can be kept; one of them cannot.',
  'refuse.pointedAt': () => 'Something else on the farm still points to it.',
  'refuse.unreadable': () => 'The request could not be read.',
  'refuse.broken': () => 'Fogata could not do that. What you entered has not been lost; try again.',
  'refuse.host': () => 'host: expected a name that this server was started for; set FOGATA_NAMES to add one.',
  'refuse.origin': () => 'origin: expected a page of this server.',
  'refuse.triedTooOften': () => 'passcode: tried too often. Wait ten minutes.',
  'refuse.passcode': () => 'passcode: expected the one that the server was started with.',
  'refuse.locked': () => 'The passcode of this farm is asked for.',
  'refuse.anotherFarm': () =>
    'Another farm answers at this address. What you entered for yours is kept on this device until yours answers again.',
  'refuse.holdsBeds': (v: { inside: string }) => `It holds ${v.inside}. Take the beds out of it first.`,
  'refuse.hasStory': () => 'Something is or was planted in this bed; its story would be lost.',
  'refuse.field': (v: { field: string; detail: string }) => `${v.field}: ${v.detail}`,
  'refuse.typedLowest': () => 'typed: expected a lowest in the coming night',
  'refuse.backup': (v: { why: string }) => `file: expected a whole backup; ${v.why}`,
  'refuse.notEmpty': () => 'A backup is only restored into a new data directory; this one has a farm.',
  'refuse.bedOfFarm': () => 'bedId: expected a bed of this farm',
  'refuse.rowsBackwards': (v: { fromRow: number }) => `toRow: expected row ${v.fromRow} or higher`,
  'refuse.rowsBeyond': (v: { rows: number; name: string }) =>
    `toRow: expected no more than ${v.rows}, the rows of ${v.name}`,
  'refuse.lengthBeyond': (v: { lengthM: number; name: string }) =>
    `lengthM: expected no more than ${v.lengthM}, the length of ${v.name}`,
  'refuse.clearedBefore': () => 'clearedOn: expected a date after planting',
  'refuse.token': () => 'authorization: expected the token of the feed, made in the settings',
  'refuse.key': () => 'key: expected the one of the address that was made in the settings',
  'refuse.spotOfReading': (v: { i: number }) =>
    `readings[${v.i}].spot: expected outside or a structure of this farm`,
  'refuse.spot': () => 'spot: expected outside or a structure of this farm',
  'refuse.timeZone': () => 'timeZone: expected a zone like Europe/Madrid',
  'refuse.realClock': () => 'The clock of a real farm cannot be moved.',
  'refuse.structureOfFarm': () => 'structureId: expected a structure of this farm',
  'refuse.coverLies': (v: { name: string; beds: string }) =>
    `${v.name} lies on ${v.beds}. Take it off first.`,
  'refuse.notYet': () => 'atMs: expected an instant that has passed',
  'refuse.ofFarm': (v: { field: string; what: keyof typeof TARGET }) =>
    `${v.field}: expected ${TARGET[v.what]} of this farm`,
  'refuse.noReading': () => 'minC: expected a minimum or a maximum',
  'refuse.maxUnderMin': () => 'maxC: expected no lower than the minimum',
  'refuse.dayToCome': () => 'on: expected a day that has come',
  'refuse.noneLeft': (v: { name: string }) =>
    `Every piece of ${v.name} is already on a bed. Take one off first, or correct the stock.`,
  'refuse.idTaken': () => 'id: expected one that is not there yet',
  'refuse.rowsOfBed': (v: { fromRow: number; rows: number }) =>
    `toRow: expected a row from ${v.fromRow} to ${v.rows}`,
  'refuse.tooManyPlans': (v: { most: number }) => `At most ${v.most} plans are kept. Throw one away first.`,
  'refuse.planTaken': (v: { name: string }) => `name: expected one that no other plan has, not ${v.name}`,
  'refuse.cultivarTaken': (v: { name: string; name2: string }) =>
    `name: expected one that no other ${v.name} has, not ${v.name2}`,
  'refuse.noSuchCrop': () => 'There is no such crop in the list.',
  'refuse.notWeighed': (v: { name: string }) => `crop: expected one that is weighed, not ${v.name}`,
  'refuse.dayPast': () => 'to: expected a day to come',
  'refuse.oneOfStructures': () => 'structureId: expected one of these structures',
  'refuse.oneOfBeds': () => 'bedId: expected one of these beds',
  'refuse.tooOften': () => 'Too many requests in a minute. Wait a moment.',
  'refuse.noSuchAddress': () => 'There is no such address in the API.',
  'refuse.practiceDate': (v: { today: string; date: string }) =>
    `--on: expected a date from ${v.today} on, not “${v.date}”.`,

  'poll.notAsked': () => 'Not asked yet.',
  'poll.asked': () => 'Asked.',
  'poll.taken': (v: { hours: number }) => `${v.hours} hours taken.`,
  'poll.nothingNew': () => 'Nothing new.',
  'poll.inVain': (v: { why: string }) => `Asked in vain: ${v.why}.`,
  'poll.status': (v: { status: number }) => `it answered ${v.status}`,
  'poll.large': () => 'its answer is larger than 2 MB',
  'poll.notJson': () => 'its answer is not JSON',
  'poll.silent': () => 'it did not answer within ten seconds',
  'poll.away': () => 'it could not be reached',
  'poll.notTaken': (v: { why: string }) => `its answer was not taken: ${v.why}`,

  'problem.strange': (v: { where: string }) =>
    `The farm’s server answers in a way that this page does not know (${v.where}). Load the page again; nothing you entered is lost.`,

  'title.400': () => 'Not understood',
  'title.401': () => 'Not let in',
  'title.403': () => 'Not from here',
  'title.404': () => 'Not found',
  'title.409': () => 'In use',
  'title.413': () => 'Too large',
  'title.415': () => 'Not understood',
  'title.421': () => 'Not this server',
  'title.422': () => 'Not accepted',
  'title.429': () => 'Too often',
  'title.500': () => 'Something broke',
};
