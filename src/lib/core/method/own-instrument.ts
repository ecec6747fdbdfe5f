import { CLAY_LIMIT_UM } from '../physics/bands.ts';
import { settlingTime } from '../physics/settling.ts';
import { formatDuration } from '../units/duration.ts';
import type { Method, TimedReading } from './types.ts';
import { usualBulbDepth } from './usual-bulb.ts';

/** What a person may change of a method that is read with an instrument. Times s, depths mm, sizes um, masses g. */
export type InstrumentDraft =
  | {
      kind: 'hydrometer';
      soilG: number;
      /** When it is read, and how long before that it is lowered; nothing where it stays in from the reading before. */
      readings: { atS: number; leadS: number }[];
    }
  | {
      kind: 'pipette';
      soilG: number;
      /** Where it draws. */
      depthMm: number;
      /** How long before a draw it is lowered. */
      leadS: number;
      /** What has just fallen past the tip at each draw; the time follows from depth and warmth. */
      limitsUm: number[];
    };

/** Fields of an instrument's draft that a sentence can stand beside. */
export type InstrumentField = 'soilG' | 'depthMm' | 'leadS' | 'readings' | `reading.${number}`;
type Problems = Partial<Record<InstrumentField, string>>;

/** The most readings that a method may ask for. */
export const MOST_READINGS = 24;
/** A hydrometer that has been read is lifted out and wiped, s, before it can be lowered again. */
const WIPE_S = 5;
/** Longer than this a hydrometer does not stay in, s: grains that settle on the bulb weigh it down. */
const STAYS_IN_S = 300;
/** With two readings the first gives the sand: at 20 degC two minutes already cut 35 um. */
const SAND_READ_BY_S = 120;
const LONGEST_S = 60 * 86_400;

/** What can be changed of an instrument method; undefined for one without instrument. */
export function instrumentDraftOf(
  method: Pick<Method, 'kind' | 'fill' | 'readings'>
): InstrumentDraft | undefined {
  const { readings = [], fill } = method;
  if (readings.length === 0) return undefined;
  const soilG = fill.soilG ?? 40;
  if (method.kind === 'pipette') {
    const { fallMm: depthMm, leadS } = readings[0];
    return { kind: 'pipette', soilG, depthMm, leadS, limitsUm: readings.flatMap((r) => r.limitUm ?? []) };
  }
  return { kind: 'hydrometer', soilG, readings: readings.map(({ atS = 0, leadS }) => ({ atS, leadS })) };
}

/**
 * What is wrong with an instrument's draft, a sentence a field.
 *
 * @returns an empty object for a method that can be run
 */
export function instrumentProblems(draft: InstrumentDraft): Problems {
  const out: Problems = {};
  const most = draft.kind === 'pipette' ? 60 : 120;
  if (!(draft.soilG >= 5 && draft.soilG <= most)) {
    out.soilG = `Give the air-dry soil in grams, from 5 to ${most}.`;
  }
  if (draft.kind === 'pipette') pipetteProblems(draft, out);
  else hydrometerProblems(draft.readings, out);
  return out;
}

function hydrometerProblems(readings: readonly { atS: number; leadS: number }[], out: Problems): void {
  if (readings.length < 2) {
    out.readings = 'Two readings at least: one for the sand, one for the clay.';
    return;
  }
  if (readings.length > MOST_READINGS) {
    out.readings = `${MOST_READINGS} readings are plenty. Take some off.`;
    return;
  }
  for (const [i, { atS, leadS }] of readings.entries()) {
    const before = readings[i - 1];
    const field = `reading.${i}` as const;
    if (!(atS > 0 && atS <= LONGEST_S)) {
      out[field] = 'Give the time after set-down, above nothing and at most 60 days.';
    } else if (!(leadS >= 0 && leadS < atS)) {
      out[field] = 'It is lowered after set-down and before it is read. Give less time before the reading.';
    } else if (before && !(atS > before.atS)) {
      out[field] = `Readings go forward in time: later than ${formatDuration(before.atS)}.`;
    } else if (leadS === 0 && !before) {
      out[field] = 'It has to be lowered before its first reading: ten seconds before is usual.';
    } else if (leadS === 0 && atS - before.atS > STAYS_IN_S) {
      out[field] =
        'Left in for over five minutes it catches grains. Say how long before the reading it is lowered.';
    } else if (before && leadS > 0 && atS - leadS < before.atS + WIPE_S) {
      out[field] = 'It cannot be lifted, wiped and lowered again by then. Leave it in: nothing before.';
    }
  }
  if (readings.length === 2 && readings[0].atS > SAND_READ_BY_S && !out['reading.0']) {
    out['reading.0'] =
      'With two readings the first gives the sand: take it within two minutes, or read more often.';
  }
}

/** Warmest water that a plan reckons with, degC: there draws follow each other quickest. */
const WARMEST_C = 30;

function pipetteProblems(draft: InstrumentDraft & { kind: 'pipette' }, out: Problems): void {
  const { depthMm, leadS, limitsUm } = draft;
  if (!(depthMm >= 20 && depthMm <= 300)) {
    out.depthMm = 'Give the depth of the tip in mm, from 20 to 300; 100 is usual.';
    return;
  }
  if (!(leadS >= 5 && leadS <= 300)) {
    out.leadS = 'Lower it 5 s to 5 min before a draw: half a minute is usual.';
    return;
  }
  if (limitsUm.length === 0 || limitsUm.length > MOST_READINGS) {
    out.readings = 'One draw at least, for the clay.';
    return;
  }
  const drawnAt = (um: number) => settlingTime({ diameterUm: um, fallMm: depthMm, tempC: WARMEST_C });
  for (const [i, um] of limitsUm.entries()) {
    const before = limitsUm[i - 1];
    const field = `reading.${i}` as const;
    if (!(um >= 0.5 && um <= 63)) out[field] = 'Give a size from 0.5 to 63 µm: coarser grains are sieved.';
    else if (before !== undefined && !(um < before))
      out[field] = `Sizes fall from draw to draw: under ${before} µm.`;
    else if (drawnAt(um) < (before === undefined ? 0 : drawnAt(before)) + leadS) {
      out[field] = 'There is no time to lower it for this draw. Draw deeper, or leave it out.';
    }
  }
  if (limitsUm[limitsUm.length - 1] > CLAY_LIMIT_UM) {
    out[`reading.${limitsUm.length - 1}`] ??= `The last draw gives the clay: ${CLAY_LIMIT_UM} µm, or less.`;
  }
}

/** The readings that a draft asks for. */
export function instrumentReadings(draft: InstrumentDraft): TimedReading[] {
  if (draft.kind === 'pipette') {
    const { depthMm: fallMm, leadS } = draft;
    return draft.limitsUm.map((limitUm) => ({ limitUm, leadS, fallMm }));
  }
  return draft.readings.map(({ atS, leadS }) => ({ atS, leadS, fallMm: usualBulbDepth(atS) }));
}

/** When the last reading falls, and how long it may be waited for. Draws by the warmth of the room, 15 to 25 degC. */
export function instrumentEnd(draft: InstrumentDraft): Method['end'] {
  if (draft.kind === 'pipette') {
    const at = (tempC: number) =>
      settlingTime({ diameterUm: draft.limitsUm[draft.limitsUm.length - 1], fallMm: draft.depthMm, tempC });
    const round = (s: number) => (s > 7200 ? Math.round(s / 1800) * 1800 : Math.round(s / 60) * 60);
    return { fromS: round(at(25)), toS: round(at(15)), note: 'with the last draw' };
  }
  const lastS = draft.readings[draft.readings.length - 1].atS;
  return { fromS: lastS, toS: lastS + (lastS > 43_200 ? 3600 : 1800), note: 'with the last reading' };
}
