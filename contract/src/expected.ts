/**
 * What was expected of a field that was refused, by id: a rule's own sentence where it has one (`wants`), else what the rule says by
 * itself (a least, a most, a kind, a choice), in the unit that the field is called by.
 */
import { said, wantIn, type Said } from '@fogata/core';
import type { Unit } from '@fogata/core/words';
import type { z } from 'zod';

type Issue = z.core.$ZodIssue;

/** The ends of names that have a unit in them, the longest first. */
const ENDS: readonly (readonly [RegExp, Unit])[] = [
  [/KgM2$/, 'load'],
  [/GM2$/, 'perArea'],
  [/[Ww]m2$/, 'heat'],
  [/M2$/, 'area'],
  [/Mps$|^windMs$/, 'speed'],
  [/Mm$|^mm$/, 'water'],
  [/Kg$|^kg/, 'mass'],
  [/^grams$/, 'gram'],
  [/[Ll]itres$/, 'litres'],
  [/^litresPerHour$/, 'flow'],
  [/^minutes$/, 'minutes'],
  [/^seconds$/, 'seconds'],
  [/^hours(PerWeek)?$/, 'hours'],
  [/^humidity$/, 'percent'],
  [/Deg$|^latitude$|^longitude$/, 'degrees'],
  [/[a-z]K$/, 'kelvin'],
  [/[a-z]C$|^c$/, 'celsius'],
  [/[a-z]M$/, 'metres'],
];

/** @example unitOf(['structures', 0, 'lengthM']) // 'metres' */
export function unitOf(path: readonly PropertyKey[]): Unit {
  const name = path.findLast((p) => typeof p === 'string');
  return ENDS.find(([end]) => name !== undefined && end.test(name))?.[1] ?? 'none';
}

const KIND: Record<string, Said> = {
  string: said('want.text'),
  boolean: said('want.yesNo'),
  int: said('want.whole'),
  array: said('want.list'),
  object: said('want.object'),
  record: said('want.object'),
};
const FORM: Record<string, Said> = {
  date: said('want.date'),
  datetime: said('want.instant'),
  uuid: said('want.uuid'),
  url: said('want.url'),
};

const listed = (origin: string) => origin === 'array' || origin === 'set';

function least(issue: Extract<Issue, { code: 'too_small' }>): Said {
  const value = Number(issue.minimum);
  if (issue.origin === 'string')
    return value <= 1 ? said('want.someText') : said('want.lettersLeast', { least: value });
  if (listed(issue.origin))
    return issue.exact === true
      ? said('want.countExactly', { count: value })
      : said('want.count', { least: value });
  const limit = { value, unit: unitOf(issue.path) };
  return issue.inclusive === false ? said('want.moreThan', limit) : said('want.atLeast', limit);
}

function most(issue: Extract<Issue, { code: 'too_big' }>): Said {
  const value = Number(issue.maximum);
  if (issue.origin === 'string') return said('want.letters', { most: value });
  if (listed(issue.origin))
    return issue.exact === true
      ? said('want.countExactly', { count: value })
      : said('want.countMost', { most: value });
  const limit = { value, unit: unitOf(issue.path) };
  return issue.inclusive === false ? said('want.under', limit) : said('want.atMost', limit);
}

/** The values that each way of a choice has: of a choice of values, all that there are. */
function choices(errors: readonly (readonly Issue[])[]): string[] {
  return errors.flatMap((way) =>
    way.length === 1 && way[0]!.code === 'invalid_value' ? way[0]!.values.map(String) : [],
  );
}

const oneOf = (values: readonly string[]): Said =>
  values.length === 1 ? said('want.exactly', { text: values[0]! }) : said('want.oneOf', { values });

export function expectedOf(issue: Issue): Said {
  const own = wantIn(issue.message);
  if (own?.say === 'want.between') return { ...own, values: { ...own.values, unit: unitOf(issue.path) } };
  if (own) return own;
  switch (issue.code) {
    case 'too_small':
      return least(issue);
    case 'too_big':
      return most(issue);
    case 'invalid_type':
      return KIND[issue.expected] ?? said('want.number', { unit: unitOf(issue.path) });
    case 'invalid_format':
      return FORM[issue.format] ?? said('want.other');
    case 'invalid_value':
      return oneOf(issue.values.map(String));
    case 'invalid_union': {
      const values = choices(issue.errors);
      return values.length > 0 ? oneOf(values) : said('want.other');
    }
    default:
      return said('want.other');
  }
}

/** "weather[3].airC" from a Zod path. */
export function fieldName(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (out, part) =>
      typeof part === 'number' ? `${out}[${part}]` : out === '' ? String(part) : `${out}.${String(part)}`,
    '',
  );
}

/** For the first thing wrong with a value: the field, then what is expected. `whole` is what a value without a field is called. */
export function firstProblem(error: z.ZodError, whole: 'case' | 'request' | 'body' = 'case'): Said {
  const issue = error.issues[0]!;
  if (issue.code === 'unrecognized_keys')
    return said('refuse.unknownField', { fields: issue.keys.map((k) => fieldName([...issue.path, k])) });
  const field = fieldName(issue.path) || said('refuse.whole', { whole });
  const missing = issue.code === 'invalid_type' && issue.input === undefined;
  return said(missing ? 'refuse.missing' : 'refuse.expected', { field, expected: expectedOf(issue) });
}
