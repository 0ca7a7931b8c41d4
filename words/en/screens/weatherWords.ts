/** Sky and wind as a grower says them, with what the model takes for each. */
import type { Format } from '@fogata/core/words';

export const SKY = [
  { value: 0.05, label: 'clear' },
  { value: 0.4, label: 'some cloud' },
  { value: 0.75, label: 'mostly cloud' },
  { value: 1, label: 'overcast' },
] as const;

/** Mean wind of the night at ten metres, m/s. */
export const WIND = [
  { value: 0.5, word: 'still' },
  { value: 2, word: 'light' },
  { value: 5, word: 'fresh' },
  { value: 10, word: 'strong' },
] as const;

export function windLabel(ms: number, word: string, format: Format): string {
  if (ms < 1) return word;
  return `${word}, ${format.length === 'm' ? `${Math.round(ms * 3.6)} km/h` : `${Math.round(ms * 2.23694)} mph`}`;
}
