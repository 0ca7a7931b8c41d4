/** The model against what is reported of real covers: ranges as rows, situations as runs. */
import Papa from 'papaparse';

export { SITUATIONS } from './situations';

export interface PublishedRange {
  id: string;
  situation: string;
  quantity: string;
  low: number;
  high: number;
  confidence: 'firm' | 'loose';
  kind: string;
}

/** The rows of `published-ranges.csv`; lines that begin with # are remarks. */
export function readRanges(csv: string): PublishedRange[] {
  const parsed = Papa.parse<Record<string, string>>(csv, {
    header: true,
    comments: '#',
    skipEmptyLines: true,
  });
  return parsed.data.map((row) => ({
    id: row.id!,
    situation: row.situation!,
    quantity: row.quantity!,
    low: Number(row.low),
    high: Number(row.high),
    confidence: row.confidence as PublishedRange['confidence'],
    kind: row.kind_of_source!,
  }));
}
