/** Two sunny days in April in a house that can be opened, `lift` K warmer or colder. */
import type { SimulationCase } from '../src';
import { HOUSE, SITE, weather } from './fixtures';

export function aimedCase(lift = 0): SimulationCase {
  return {
    format: 'fogata-case/1',
    site: SITE,
    weather: weather({
      meanC: 9 + lift,
      cloud: 0.05,
      windMs: 2,
      hours: 48,
      startAtMs: Date.parse('2027-04-12T00:00:00Z'),
    }),
    ground: { deepC: 9 },
    stack: [{ ...HOUSE, ventAreaM2: 14 }],
  };
}
