/**
 * Every sentence there is, said with values made from its own types: none breaks, none says undefined, and on a farm in °F and feet none speaks of °C,
 * metres or kilometres. What a field of a file or of the API expects is in the unit that the field is called by.
 */
import ts from 'typescript';
import { en, telling, type MessageId, type Style } from '../words';
import { checker, program, TOLD } from './program';

const METRIC: Style = {
  units: { temperature: 'C', length: 'm' },
  currency: '€',
  hours: 24,
  timeZone: 'Europe/Madrid',
};
const FEET: Style = {
  units: { temperature: 'F', length: 'ft' },
  currency: '$',
  hours: 12,
  timeZone: 'America/New_York',
};

/** So many of each sentence: each takes another of every choice that its values have. */
const TURNS = 6;

/** A number as its name has it. */
function numberFor(name: string): number {
  if (/AtMs$|^ms$|^atMs$/i.test(name)) return Date.parse('2027-01-14T15:30:00Z');
  if (/C$/.test(name)) return -3.4;
  if (/K$/.test(name)) return 1.6;
  if (/M$/.test(name)) return 2.4;
  if (/Mps$/.test(name)) return 12;
  if (/share|fraction|chance/i.test(name)) return 0.3;
  return 3;
}

/** A value of a type, the `turn`th of its choices. */
function valueOf(type: ts.Type, name: string, turn: number, at: ts.Node, depth = 0): unknown {
  if (type.isUnion()) {
    const choices = type.types.filter((t) => !(t.flags & ts.TypeFlags.Undefined));
    return valueOf(choices[turn % choices.length]!, name, turn, at, depth);
  }
  if (type.isStringLiteral() || type.isNumberLiteral()) return type.value;
  if (type.flags & ts.TypeFlags.BooleanLiteral) return checker.typeToString(type) === 'true';
  if (type.flags & ts.TypeFlags.Null) return null;
  if (type.flags & ts.TypeFlags.String) return /date|^on$|night$/i.test(name) ? '2027-01-14' : 'N2';
  if (type.flags & ts.TypeFlags.Number) return numberFor(name);
  if (depth > 5) return null;
  if (checker.isArrayType(type) || checker.isTupleType(type)) {
    const [item] = checker.getTypeArguments(type as ts.TypeReference);
    return item
      ? [valueOf(item, name, turn, at, depth + 1), valueOf(item, name, turn + 1, at, depth + 1)]
      : [];
  }
  const keys = type.getStringIndexType();
  if (keys) return { n2: valueOf(keys, name, turn, at, depth + 1) };
  return Object.fromEntries(
    type
      .getProperties()
      .map((p) => [p.name, valueOf(checker.getTypeOfSymbolAtLocation(p, at), p.name, turn, at, depth + 1)]),
  );
}

function sentencesOf(): { id: MessageId; values: unknown[] }[] {
  const file = program.getSourceFile(TOLD)!;
  const symbol = checker.getExportsOfModule(checker.getSymbolAtLocation(file)!).find((s) => s.name === 'en')!;
  const type = checker.getTypeOfSymbolAtLocation(symbol, file);
  return type.getProperties().map((p) => {
    const [signature] = checker.getTypeOfSymbolAtLocation(p, file).getCallSignatures();
    const given = signature?.parameters[0];
    const of = given && checker.getTypeOfSymbolAtLocation(given, file);
    const turns = of && given.name !== 'tell' ? TURNS : 1;
    return {
      id: p.name as MessageId,
      values: Array.from({ length: turns }, (_, turn) =>
        of ? valueOf(of, given.name, turn, file) : undefined,
      ),
    };
  });
}

/** Reasons of windows bring their values with them, by their id: `windows.test.ts` holds those. */
const all = sentencesOf().filter((s) => !s.id.startsWith('window.'));
const say = (id: MessageId, values: unknown, style: Style): string =>
  (en[id] as (values: unknown, tell: unknown) => string)(values, telling(style));

test('there are some hundreds of them', () => {
  expect(
    sentencesOf()
      .map((s) => s.id)
      .sort(),
  ).toEqual(Object.keys(en).sort());
  expect(all.length).toBeGreaterThan(450);
});

/** What a sentence never has in it: what is not there, or the seams between its parts. */
const BROKEN = /undefined|NaN|\[object|null|Infinity| {2}| [,.;]|\.\.$|^$/;
/** Of what is said with each of its values, in a style, what matches. */
const wrong = ({ id, values }: (typeof all)[number], style: Style, pattern: RegExp): string[] =>
  values.map((of) => say(id, of, style)).filter((text) => typeof text !== 'string' || pattern.test(text));

test.each(all)('$id is a sentence whatever its values are', (s) => {
  expect([...wrong(s, METRIC, BROKEN), ...wrong(s, FEET, BROKEN)]).toEqual([]);
});

/** In the units of a file or of the API, which are SI: its fields are called by them. */
const IN_SI = /^(want|row|column|refuse|poll|problem)\./;
const METRES = /°C|\d ?(?:mm|cm|m|km|kg|km\/h|m\/s|kg\/m²|g\/m²|m²|l)(?![\w/²])/;

test.each(all.filter((s) => !IN_SI.test(s.id)))('$id speaks in feet and °F to a farm that does', (s) => {
  expect(wrong(s, FEET, METRES)).toEqual([]);
});

test('and in metres and °C to one that does not', () => {
  const own = all.filter((s) => !IN_SI.test(s.id));
  expect(own.flatMap((s) => wrong(s, METRIC, /°F|\d ft\b|\d lb\b/))).toEqual([]);
  expect(all.flatMap((s) => wrong(s, METRIC, /°C/)).length).toBeGreaterThan(20);
});
