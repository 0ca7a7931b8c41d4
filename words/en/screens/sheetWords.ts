/** What goes on paper: tonight's sheet, the week's, the master sheet of the beds by rows, and tags to stand in them. */
import { jobTitle } from '@fogata/contract';
import type { AheadView, KitView, NowView, RelayView, SeasonView } from '@fogata/contract/told';
import { addDays, cropById, isIndoors } from '@fogata/core';
import type { Format } from '@fogata/core/words';
import { nightName, nightWords, shortWords, workWords } from './aheadWords';
import { dayNumber, daysTo, jobDetail } from './jobWords';
import { dayShort } from './seasonWords';
import type { Sheet, SheetLine, SheetPart } from '../../sheet';

const said = (segments: NowView['sentence']) =>
  segments
    .map((s) => s.text)
    .join('')
    .trim();
const part = (title: string, lines: SheetLine[]): SheetPart[] => (lines.length > 0 ? [{ title, lines }] : []);

/** Sheets that are still to be laid, by where they are kept. */
function toFetch(view: NowView, kit: KitView | undefined): SheetLine[] {
  const count = new Map<string, number>();
  for (const job of view.jobs)
    for (const i of job.items) if (i.on && !i.done) count.set(i.coverId, (count.get(i.coverId) ?? 0) + 1);
  return [...count].flatMap(([id, n]) => {
    const cover = kit?.covers.find((c) => c.id === id);
    // a room is where crates go, not what is fetched
    if (cover && isIndoors(cover)) return [];
    return [
      {
        done: false,
        at: `${n} ×`,
        text: cover?.name ?? id,
        ...(cover?.keptAt ? { note: cover.keptAt } : {}),
      },
    ];
  });
}

export function tonightSheet(
  view: NowView,
  kit: KitView | undefined,
  farm: string,
  format: Pick<Format, 't' | 'range' | 'time' | 'day' | 'money'>,
): Sheet {
  const { night } = view;
  const jobs = [...view.jobs].sort((a, b) => Number(a.done) - Number(b.done) || a.dueAtMs - b.dueAtMs);
  return {
    title: `${farm}, ${format.day(view.clock.nowAtMs)}`,
    first: [
      said(view.sentence),
      night
        ? `Outside ${format.range(night.lowC.low, night.lowC.high)}, lowest about ${format.time(night.lowAtMs)}.`
        : '',
    ]
      .filter(Boolean)
      .join(' '),
    parts: [
      ...part(
        'Against wind and snow',
        view.storm.map((j) => ({
          done: j.done,
          at: format.time(j.byAtMs),
          text: j.title,
          note: [j.load, ...j.steps].join(' · '),
        })),
      ),
      ...part('To fetch', toFetch(view, kit)),
      ...part(
        view.clock.phase === 'morning' ? 'In the morning' : 'Before dark',
        jobs.map((j) => ({
          done: j.done,
          at: format.time(j.kind === 'lift' ? j.onByAtMs : j.dueAtMs),
          text: j.title,
          note: j.done
            ? 'done'
            : [
                j.detail,
                j.kind === 'lift' ? 'not before' : `on by ${format.time(j.onByAtMs)}`,
                `${Math.round(j.minutes)} min`,
              ]
                .filter(Boolean)
                .join(' · '),
        })),
      ),
      ...part(
        'At risk all the same',
        view.atRisk.map((text) => ({ done: null, at: '', text })),
      ),
      ...part('To read in the morning', [
        { done: false, at: '', text: 'Outside: lowest ______  highest ______' },
        ...[...new Set(view.places.map((p) => p.structureName))].map((name) => ({
          done: false,
          at: '',
          text: `${name}: lowest ______  highest ______`,
        })),
      ]),
    ],
    mind: view.cautions,
  };
}

export function weekSheet(
  ahead: AheadView | undefined,
  season: SeasonView | undefined,
  farm: string,
  format: Format,
  waits = false,
): Sheet {
  const nights = ahead?.nights ?? [];
  const first = nights[0]?.night ?? '';
  const today = season?.today ?? first;
  const jobs = (season?.jobs ?? []).filter((j) => daysTo(today, j.date) < 7);
  const until = today ? addDays(today, 6) : '';
  return {
    title: today
      ? `${farm}, ${dayNumber(today)} to ${dayNumber(until)} ${dayShort(until.slice(5)).slice(-3)}`
      : farm,
    first: '',
    parts: [
      ...part(
        'Nights',
        nights.map((n) => ({
          done: null,
          at: nightName(n.night, first),
          text: `${format.range(n.outsideC.low, n.outsideC.high)} outside. ${workWords(n)}`,
          note: [nightWords(n, format), n.short.length > 0 ? `Short: ${shortWords(n)}.` : '']
            .filter(Boolean)
            .join(' '),
        })),
      ),
      ...part(
        'In the beds',
        jobs.map((j) => ({
          done: false,
          at: daysTo(today, j.date) < 0 ? 'late' : dayNumber(j.date),
          text: jobTitle(j),
          note: `${j.bed}, ${j.place} · ${jobDetail(j, today, format)}`,
        })),
      ),
    ],
    mind: [
      ...(ahead?.lack ? ['No forecast reaches the coming nights.'] : []),
      ...(waits ? ['Made while it was still being worked out: more may come.'] : []),
    ],
  };
}

/** Beyond this a bed is by one side of its house, m. */
const SIDE_M = 0.3;
const sideOf = (acrossM: number) =>
  acrossM < -SIDE_M ? 'left side' : acrossM > SIDE_M ? 'right side' : 'middle';

/** Beds with what stands in their rows and what follows, from today on. */
export function bedsSheet(view: RelayView, farm: string, format: Pick<Format, 'metres'>): Sheet {
  const { today } = view;
  const date = (d: string) => dayShort(d.slice(5));
  return {
    title: `${farm}, the beds from ${date(today)} ${today.slice(0, 4)}`,
    first: '',
    parts: view.beds.flatMap((b) => {
      const here = view.plantings
        .filter((p) => p.bedId === b.id && (p.clearedOn === null || p.clearedOn > today))
        .sort((x, y) => x.fromRow - y.fromRow || x.plantedOn.localeCompare(y.plantedOn));
      const rows = (p: { fromRow: number; toRow: number }) =>
        p.fromRow === p.toRow ? `row ${p.fromRow}` : `rows ${p.fromRow}–${p.toRow}`;
      const place = b.headroomM === null ? b.place : `${b.place}, ${sideOf(b.acrossM)}`;
      return [
        {
          title: `${b.name} · ${place} · ${format.metres(b.lengthM)}, ${b.rows} rows`,
          lines:
            here.length > 0
              ? here.map((p) => ({
                  done: p.plantedOn > today ? false : null,
                  at: rows(p),
                  text: `${cropById(p.crop).name}${p.cultivar ? ` ${p.cultivar}` : ''}, ${format.metres(p.lengthM)}`,
                  note: `${p.plantedOn > today ? 'from' : 'since'} ${date(p.plantedOn)}${p.clearedOn ? `, clear by ${date(p.clearedOn)}` : ''}${p.note ? ` · ${p.note}` : ''}`,
                }))
              : [{ done: null, at: '', text: 'Nothing stands here and nothing is planned.' }],
        },
      ];
    }),
    mind: [],
  };
}

/** A tag for each planting that stands or is planned, to be cut out and stood in its rows. */
export function tagsSheet(view: RelayView, farm: string, format: Pick<Format, 'metres'>): Sheet {
  const { today } = view;
  const date = (d: string) => `${dayShort(d.slice(5))} ${d.slice(0, 4)}`;
  const line = (at: string, text: string): SheetLine => ({ done: null, at, text });
  return {
    title: `${farm}, tags`,
    first: '',
    tags: true,
    parts: view.beds.flatMap((b) =>
      view.plantings
        .filter((p) => p.bedId === b.id && (p.clearedOn === null || p.clearedOn > today))
        .sort((x, y) => x.fromRow - y.fromRow || x.plantedOn.localeCompare(y.plantedOn))
        .map((p): SheetPart => ({
          title: [cropById(p.crop).name, p.cultivar].filter(Boolean).join(' '),
          lines: [
            line(
              b.name,
              `${p.fromRow === p.toRow ? `row ${p.fromRow}` : `rows ${p.fromRow} to ${p.toRow}`}, ${format.metres(p.lengthM)}`,
            ),
            line(p.planned === true ? 'from' : 'since', date(p.plantedOn)),
            ...(p.clearedOn ? [line('clear by', date(p.clearedOn))] : []),
            ...(p.note ? [line('', p.note)] : []),
          ],
        })),
    ),
    mind: [],
  };
}
