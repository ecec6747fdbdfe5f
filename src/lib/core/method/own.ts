import { known } from '../known.ts';
import { checkFill, fillPlan } from './fill.ts';
import { STANDARD_VESSELS, type NamedVessel } from '../vessel/vessel.ts';
import { RangeProblem } from '../errors.ts';
import { formatDuration } from '../units/duration.ts';
import {
  instrumentDraftOf,
  instrumentEnd,
  instrumentProblems,
  instrumentReadings,
  type InstrumentDraft,
  type InstrumentField
} from './own-instrument.ts';
import type { Method, MethodStep, TimedMark } from './types.ts';

/** What a person may change of a method. Times s, shares 0 to 1, dose mL a litre. */
export type MethodDraft = {
  name: string;
  purpose: string;
  vesselKind: Method['vesselKind'];
  soilShare: number;
  water: Exclude<Method['fill']['water'], 'equal'>;
  dispersantMlPerL: number;
  agitate: Method['agitate'];
  marks: TimedMark[];
  end: { fromS: number; toS: number };
  /** Set for a method that is read with an instrument: its mass and its readings go before shares, marks and end. */
  instrument?: InstrumentDraft;
  steps: MethodStep[];
};

/** Longest that a method may last, s: well-dispersed clay is up for weeks, and nobody waits longer. */
const LONGEST_S = 60 * 86_400;
/** Hands and tape need this long between two marks, s. */
const BETWEEN_MARKS_S = 10;
const MARK_ORDER = ['sand', 'silt', 'clay'] as const;

/** The draft of a method, to be changed. Volumes are told as shares of the vessel it is usually done in. */
export function draftOf(method: Method): MethodDraft {
  const vessel = usualVessel(method);
  const plan = fillPlan(method, vessel);
  const byVolume = method.fill.soilMl !== undefined || method.fill.waterLineMl !== undefined;
  const instrument = instrumentDraftOf(method);
  const share = (mm: number, of: number) => Math.round((1000 * mm) / of) / 1000;
  return {
    name: method.name,
    purpose: method.purpose,
    vesselKind: method.vesselKind,
    soilShare: byVolume ? share(plan.soilMm, vessel.shoulderHeightMm) : method.fill.soilShare,
    water:
      byVolume || method.fill.water === 'equal'
        ? share(plan.waterMm, vessel.innerHeightMm)
        : method.fill.water,
    dispersantMlPerL: method.dispersant.mlPerL,
    agitate: { ...method.agitate },
    marks: method.marks.map((m) => ({ ...m })),
    end: { fromS: method.end.fromS, toS: method.end.toS },
    ...(instrument ? { instrument } : {}),
    steps: method.steps.map((s) => ({ ...s }))
  };
}

/** The vessel that a method is usually done in. */
export function usualVessel(
  method: Pick<Method, 'vesselKind' | 'fill'> & Partial<Pick<Method, 'kind'>>
): NamedVessel {
  const { waterLineMl, soilMl = Infinity } = method.fill;
  const cylinder = (waterLineMl ?? 2 * soilMl) > 200 ? 'cylinder-1000' : 'cylinder-100';
  const jar = method.kind === 'bottle' ? 'bottle-half-litre' : 'jar-litre';
  const id = method.vesselKind === 'jar' ? jar : cylinder;
  return known(
    STANDARD_VESSELS.find((v) => v.id === id),
    'these vessels ship'
  );
}

/** Fields of a draft that a sentence can stand beside. */
export type MethodField =
  | 'name'
  | 'soilShare'
  | 'water'
  | 'dispersantMlPerL'
  | 'agitate'
  | 'sand'
  | 'silt'
  | 'clay'
  | 'end'
  | 'steps'
  | InstrumentField;

/**
 * What is wrong with a draft, a sentence a field: names, amounts that do not fit the vessel, times that do not
 * increase, windows that end before they begin or reach into the next mark.
 *
 * @returns an empty object for a method that can be run
 */
export function methodProblems(draft: MethodDraft): Partial<Record<MethodField, string>> {
  const out: Partial<Record<MethodField, string>> = {};
  if (draft.name.trim() === '') out.name = 'Name the method, so that it can be told from the others.';
  else if (draft.name.trim().length > 40) out.name = 'Keep the name under 40 letters.';
  if (!(draft.dispersantMlPerL >= 0 && draft.dispersantMlPerL <= 500)) {
    out.dispersantMlPerL = 'Give the dispersant in mL a litre of water, from 0 to 500.';
  }
  const { fromS, toS } = draft.agitate;
  if (!(fromS >= 0 && toS <= 3600)) out.agitate = 'Mixing takes from nothing to an hour.';
  else if (!(toS >= fromS)) out.agitate = 'The longest mixing is shorter than the shortest. Swap them.';
  if (draft.instrument) Object.assign(out, instrumentProblems(draft.instrument));
  else {
    fillProblems(draft, out);
    markProblems(draft.marks, out);
    endProblems(draft, out);
  }
  if (draft.steps.every((s) => s.text.trim() === '')) out.steps = 'Write down at least one step.';
  return out;
}

function fillProblems(draft: MethodDraft, out: Partial<Record<MethodField, string>>): void {
  if (!(draft.soilShare > 0 && draft.soilShare <= 0.9)) {
    out.soilShare = 'Give the soil as a share of the height to the shoulder, above 0 and at most 90 %.';
    return;
  }
  if (typeof draft.water === 'number' && !(draft.water > 0 && draft.water <= 1)) {
    out.water = 'Give the water line as a share of the inner height, at most 100 %.';
    return;
  }
  const fill = { soilShare: draft.soilShare, soilNote: '', water: draft.water, waterNote: '' };
  const vessel = usualVessel({ vesselKind: draft.vesselKind, fill });
  const plan = fillPlan({ fill, dispersant: { mlPerL: 0, note: '' } }, vessel);
  try {
    checkFill(vessel, plan.soilMm, plan.waterMm);
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
    out[problem.field === 'soilMm' ? 'soilShare' : 'water'] = problem.message;
  }
}

function markProblems(marks: readonly TimedMark[], out: Partial<Record<MethodField, string>>): void {
  const given = MARK_ORDER.flatMap((layer) => marks.filter((m) => m.layer === layer));
  for (const [i, mark] of given.entries()) {
    const before = given[i - 1];
    const after = given[i + 1];
    if (!(mark.atS > 0 && mark.atS <= LONGEST_S)) {
      out[mark.layer] = 'Give the time after set-down, above nothing and at most 60 days.';
    } else if (before && before.layer === mark.layer) {
      out[mark.layer] = 'A layer is marked once.';
    } else if (before && !(mark.atS >= before.atS + BETWEEN_MARKS_S)) {
      out[mark.layer] =
        `The ${mark.layer} is marked after the ${before.layer}: later than ${formatDuration(before.atS)}.`;
    } else if (mark.untilS !== undefined && !(mark.untilS > mark.atS)) {
      out[mark.layer] = 'This window ends before it begins.';
    } else if (mark.untilS !== undefined && after && mark.untilS > after.atS) {
      out[mark.layer] = `This window reaches beyond the mark of the ${after.layer}.`;
    }
  }
}

function endProblems({ marks, end }: MethodDraft, out: Partial<Record<MethodField, string>>): void {
  const last = Math.max(0, ...marks.map((m) => m.atS));
  if (!(end.fromS > 0 && end.toS <= LONGEST_S)) {
    out.end = 'Give when it may be read, after set-down, at most 60 days.';
  } else if (!(end.toS >= end.fromS)) out.end = 'The latest reading is before the earliest. Swap them.';
  else if (end.fromS < last) out.end = `It is read after the last mark: not before ${formatDuration(last)}.`;
}

const percent = (share: number) => `${Math.round(100 * share)} %`;

/** What a draft makes of a jar or a cylinder that is read by its layers. */
function layerPart(draft: MethodDraft, base: Method): Pick<Method, 'kind' | 'fill' | 'marks' | 'end'> {
  const waterNote =
    draft.water === 'neck'
      ? 'to the neck'
      : draft.water === 'near-top'
        ? 'nearly to the rim'
        : `to ${percent(draft.water)} of the height`;
  return {
    kind: base.kind === 'bottle' ? base.kind : draft.vesselKind,
    fill: {
      soilShare: draft.soilShare,
      soilNote: `${percent(draft.soilShare)} of the height to the shoulder`,
      water: draft.water,
      waterNote
    },
    marks: MARK_ORDER.flatMap((layer) => draft.marks.filter((m) => m.layer === layer)),
    end: {
      ...draft.end,
      note: `${formatDuration(draft.end.fromS)} to ${formatDuration(draft.end.toS)} after set-down`
    }
  };
}

/** What a draft makes of a method that is read with an instrument: the cylinder is filled as before, by another mass. */
function instrumentPart(
  draft: InstrumentDraft,
  { kind, fill }: Method
): Pick<Method, 'kind' | 'fill' | 'marks' | 'readings' | 'end'> {
  if (draft.kind !== kind) {
    throw new RangeProblem('readings', 'Copy a method that is read with this instrument, and change that.');
  }
  const { soilG } = draft;
  const more = soilG / (fill.soilG ?? soilG);
  return {
    kind,
    fill: {
      ...fill,
      soilG,
      soilNote: more === 1 ? fill.soilNote : `${soilG} g air-dry, under 2 mm`,
      ...(fill.soilMl === undefined ? {} : { soilMl: fill.soilMl * more })
    },
    marks: [],
    readings: instrumentReadings(draft),
    end: instrumentEnd(draft)
  };
}

/**
 * A person's own method from a draft.
 *
 * @param id its key, its version, and the method it was copied from
 * @throws {RangeProblem} on the first field that is wrong, see {@link methodProblems}, and on `readings` for an
 * instrument that the method it was copied from is not read with
 */
export function ownMethod(draft: MethodDraft, id: { key: string; version: number; base: Method }): Method {
  const [wrong] = Object.entries(methodProblems(draft));
  if (wrong) throw new RangeProblem(wrong[0], wrong[1] ?? '');
  const { base } = id;
  const instrument = draft.instrument ?? instrumentDraftOf(base);
  return {
    key: id.key,
    version: id.version,
    name: draft.name.trim(),
    purpose: draft.purpose.trim() || base.purpose,
    stand: `Your own, changed from “${base.name}”.`,
    vesselKind: instrument ? base.vesselKind : draft.vesselKind,
    ...(instrument ? instrumentPart(instrument, base) : layerPart(draft, base)),
    ...(instrument && base.soakS !== undefined ? { soakS: base.soakS } : {}),
    dispersant: {
      mlPerL: draft.dispersantMlPerL,
      note:
        draft.dispersantMlPerL === 0
          ? 'none'
          : base.dispersant.mlPerL > 0
            ? base.dispersant.note
            : 'non-foaming'
    },
    agitate: { ...draft.agitate, how: draft.agitate.how.trim() || 'Shake' },
    steps: draft.steps
      .map(({ text, why }) => ({ text: text.trim(), ...(why?.trim() ? { why: why.trim() } : {}) }))
      .filter((s) => s.text !== ''),
    schools: base.schools
  };
}
