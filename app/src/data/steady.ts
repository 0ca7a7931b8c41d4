/**
 * The first screen while its answer is being worked out, or cannot come. Contract: `steady(now, last)` keeps the list where it
 * is while the same night is computed anew; `withoutServer` makes of an answer that is hours old what still holds: the morning
 * round, and a word about how old the rest is.
 */
import type { BedsView, NowView, RoundItem } from '@fogata/contract/told';
import {
  foldOn,
  jobAsItStands,
  knownActs,
  nightOf,
  phaseOf,
  stackAsItStands,
  type FarmSite,
} from '@fogata/core/telling';
import type { Asked } from './overlay';
import { steady as words } from '@fogata/words/en/screens/data';

type Now = Asked<NowView>;

/** The last whole answer of this night and phase, with what has been done since on it, while a new one is on its way. */
export function steady(now: Now, last: Now | null): Now {
  const same = last?.clock.window.night === now.clock.window.night && last.clock.phase === now.clock.phase;
  if (now.progress.state !== 'computing' || !last || !same || last.progress.state !== 'ready') return now;
  const state = foldOn(now.standing, [], new Set());
  const known = knownActs(last.standing);
  // what stands there is more than a first look
  const { first: _first, ...progress } = now.progress;
  return {
    ...now,
    progress,
    sentence: last.sentence,
    evidence: last.evidence,
    night: last.night,
    money: last.money,
    atRisk: last.atRisk,
    ribbon: last.ribbon,
    cautions: last.cautions,
    jobs: last.jobs.map((j) => jobAsItStands(j, state, known)),
    places: last.places.map((p) => ({
      ...p,
      stack: stackAsItStands(p.stack, p.bedId, p.structureId, state),
    })),
  };
}

/** The beds as they stand now, each planting with the night that was last worked out for it, while a new one is on its way. */
export function steadyBeds(now: BedsView, last: BedsView | null): BedsView {
  if (now.progress.state !== 'computing' || !last) return now;
  const known = new Map(
    last.structures.flatMap((s) => s.beds.flatMap((b) => b.plantings)).map((p) => [p.planting.id, p]),
  );
  return {
    ...now,
    structures: now.structures.map((s) => ({
      ...s,
      beds: s.beds.map((b) => ({
        ...b,
        plantings: b.plantings.map((p) => {
          const was = known.get(p.planting.id);
          return p.leafC !== null || !was
            ? p
            : { ...p, leafC: was.leafC, verdict: was.verdict, harmChance: was.harmChance };
        }),
      })),
    })),
  };
}

function roundFrom(beds: BedsView | undefined): RoundItem[] {
  const none = { predictedC: null, thermometer: null, reading: null };
  const structures = (beds?.structures ?? []).filter((s) => s.structure.kind !== 'open' && s.beds.length > 0);
  return [
    { spot: 'outside', name: words.outside, ...none },
    ...structures.map((s) => ({ spot: s.structure.id, name: s.structure.name, ...none })),
  ];
}

/** `atText` says when the answer was worked out. */
export function withoutServer(
  now: Now,
  deviceAtMs: number,
  site: FarmSite,
  beds: BedsView | undefined,
  atText: string,
): Now {
  const window = nightOf(deviceAtMs, site);
  const phase = phaseOf(deviceAtMs, window);
  const sameNight = window.night === now.clock.window.night;
  const clock = { ...now.clock, nowAtMs: deviceAtMs, window, phase };
  // what is late is late by the device's clock
  if (sameNight && phase === now.clock.phase) return { ...now, clock };
  const asked = sameNight && phase !== 'morning';
  return {
    ...now,
    clock,
    sentence: [
      { text: words.thisWasWorkedOutAt(atText), tone: 'plain' },
      {
        text: words.theRoundCanBeNoted(phase),
        tone: 'ochre',
      },
    ],
    evidence: '',
    jobs: asked ? now.jobs : [],
    storm: sameNight ? now.storm : [],
    places: asked ? now.places : [],
    ribbon: asked ? now.ribbon : null,
    atRisk: asked ? now.atRisk : [],
    rounds: phase === 'morning' ? (now.rounds.length > 0 && sameNight ? now.rounds : roundFrom(beds)) : [],
  };
}
