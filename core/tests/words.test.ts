/** Sentences as ids and values: nothing of them is lost on the way, and there are no more words than are said. */
import { faults } from '@fogata/words/en/told/faults';
import { starting } from '@fogata/words/en/told/starting';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { closingSentence, said, windJob, type Said } from '../src';
import { en, told, type Style } from '../words';
import { style } from './eveningFixture';
import { aStructure } from './fixtures';

const american: Style = {
  units: { temperature: 'F', length: 'ft' },
  currency: '$',
  hours: 12,
  timeZone: 'America/New_York',
};
const AT = Date.parse('2027-01-15T06:10:00Z');

test('one sentence is told in whichever units, clock and zone the farm has', () => {
  const cold = closingSentence({
    lowC: -7.2,
    lowAtMs: AT,
    cloud: 0.1,
    windMps: 0.8,
    bedsToCover: 3,
    secondLayers: 3,
    firstDueAtMs: AT - 15 * 3_600_000,
    done: 0,
    toClose: 0,
  });
  const words = (how: Style) =>
    told(cold, how)
      .map((p) => p.text)
      .join('');
  expect(words(style)).toBe(
    '−7 °C by 07:10, clear and still. A second layer on three beds, starting by 16:10.',
  );
  expect(words(american)).toBe(
    '19 °F by 1:10 am, clear and still. A second layer on three beds, starting by 10:10 am.',
  );
  const gale = windJob(aStructure({ name: 'Long house' }), {
    atMs: AT,
    gustMps: 25,
    pressureNm2: 390,
    longKn: 4.21,
    shortKn: 1,
    side: 'long',
  })!;
  expect(told(gale, style).load).toBe('Gusts to about 90 km/h on its long side, a push of 4.2 kN.');
  expect(told(gale, american).load).toBe('Gusts to about 56 mph on its long side, a push of 4.2 kN.');
});

test('a sentence in a sentence, in a list, in a view: all are told; what has none comes back as it was', () => {
  const inner = said('names.double', { bed: 'N2' });
  const view = {
    title: said('job.in', { place: 'the shed', beds: [inner, 'S1', 'S2'] }),
    detail: '' as const,
    hours: [1, 2, 3],
    left: null,
    parts: [{ ok: true, why: said('why.all', { parts: [said('why.onBy', { atMs: AT }), 'rest'] }) }],
    standing: { say: 4 },
  };
  expect(told(view, style)).toEqual({
    ...view,
    title: 'Carry N2 (double), S1 and S2 into the shed',
    parts: [{ ok: true, why: 'On by 07:10. rest.' }],
  });
  const plain = { beds: [{ id: 'n2', leafC: [-1, -2] }], when: null };
  expect(told(plain, style)).toBe(plain);
  expect(told(told(view, style), style)).toEqual(told(view, style));
});

test('a name is never read as an id, whatever a grower calls a bed', () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (bed, cover) => {
      const sent = JSON.parse(JSON.stringify(said('job.off', { cover, beds: [bed] }))) as Said;
      expect(told(sent, style)).toBe(`${cover} off ${bed}`);
    }),
  );
});

describe('the words there are', () => {
  const SRC = [
    join(__dirname, '..', 'src'),
    join(__dirname, '..', '..', 'contract', 'src'),
    join(__dirname, '..', '..', 'server', 'src'),
  ];
  const code = SRC.flatMap((at) =>
    readdirSync(at, { recursive: true, encoding: 'utf8' })
      .filter((f) => f.endsWith('.ts'))
      .map((f) => readFileSync(join(at, f), 'utf8')),
  ).join('\n');
  /** Families that are put together from another id: the steps of a job, the reasons of a window, the schools. */
  const MADE = ['job.', 'window.', 'misses.', 'title.'].filter((family) => code.includes(`\`${family}\${`));

  test('are all said by somebody', () => {
    const said = (id: string) => MADE.some((f) => id.startsWith(f)) || code.includes(`'${id}'`);
    expect(Object.keys(en).filter((id) => !said(id))).toEqual([]);
  });

  test('in the terminal too', () => {
    expect(Object.keys(faults).filter((id) => !code.includes(`'${id}'`))).toEqual([]);
    expect(Object.keys(starting).filter((id) => !code.includes(`words.${id}`))).toEqual([]);
  });
});
