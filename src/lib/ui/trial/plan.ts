import {
  lengthForField,
  outcomeOf,
  parsePressure,
  trialProblems,
  type Binder,
  type Figures,
  type LengthUnit,
  type TrialKind
} from '$lib/core';
import { planOf, viewTrial, type TrialView } from '$lib/workbench/trials';
import type { PayloadInput } from '$lib/contract/commands';
import type { TrialRecord } from '$lib/contract/records/trial';
import type { FieldErrors, FormRead } from '../fields/command-form.svelte';
import { keptLength, readLength, readNumber } from '$lib/workbench/entry/figure';

/** What is typed of a set before it is made. */
export type PlanTexts = {
  kind: TrialKind;
  sample: string;
  mix: string;
  binder: Binder;
  binderPct: string;
  water: string;
  pressure: string;
  piston: string;
  area: string;
  box: string;
  count: string;
  soaked: string;
  cure: string;
  soak: string;
  note: string;
};

/** A usual press, and a usual box: the small ones of the trade, mm. */
const USUAL = { pistonMm: 50, boxMm: 600 };
const COUNTS: Record<TrialKind, { count: number; soaked: number }> = {
  ball: { count: 3, soaked: 0 },
  ribbon: { count: 3, soaked: 0 },
  box: { count: 1, soaked: 0 },
  block: { count: 6, soaked: 3 }
};

/** Days of curing that are usual with a binder or without. */
export const usualCure = (binder: Binder, by: Figures): string =>
  String(binder === 'none' ? by.cureDays : by.binderCureDays);

/** What stands in the form of a new set. */
export function freshPlan(kind: TrialKind, by: Figures, unit: LengthUnit): Omit<PlanTexts, 'sample' | 'mix'> {
  const { count, soaked } = COUNTS[kind];
  return {
    kind,
    binder: 'none',
    binderPct: '',
    water: '',
    pressure: '',
    piston: lengthForField(USUAL.pistonMm, unit),
    area: '',
    box: lengthForField(USUAL.boxMm, unit),
    count: String(count),
    soaked: String(soaked),
    cure: usualCure('none', by),
    soak: String(by.soakDays),
    note: ''
  };
}

/** What stands in the form of a set that is corrected. */
export function keptPlan(trial: TrialRecord, unit: LengthUnit): PlanTexts {
  const text = (x: number | null) => (x === null ? '' : String(x));
  return {
    kind: trial.kind,
    sample: trial.sampleId,
    mix: trial.mix,
    binder: trial.binder,
    binderPct: trial.binder === 'none' ? '' : String(trial.binderPct),
    water: text(trial.waterPct),
    pressure: trial.pressure?.text ?? '',
    piston: keptLength(trial.piston, unit),
    area: text(trial.areaMm2),
    box: keptLength(trial.box, unit),
    count: String(trial.count),
    soaked: String(trial.soaked),
    cure: String(trial.cureDays),
    soak: String(trial.soakDays),
    note: trial.note
  };
}

/** Fields of the core by those of the form. */
export const PLAN_FIELDS = {
  binderPct: 'binderPct',
  waterPct: 'water',
  pressure: 'pressure',
  piston: 'piston',
  areaMm2: 'area',
  box: 'box',
  count: 'count',
  soaked: 'soaked',
  cureDays: 'cure',
  soakDays: 'soak',
  sampleId: 'sample'
} as const;

/** Reads the form of a set; only what its kind asks for. */
export function readPlan(
  texts: PlanTexts,
  unit: LengthUnit,
  trialId: string
): FormRead<PayloadInput<'trial.plan'>> {
  const errors: FieldErrors = {};
  const { kind, binder } = texts;
  const block = kind === 'block';
  const cures = block || kind === 'box';
  const optional = (text: string) => (text.trim() === '' ? null : readNumber(text));
  const length = (field: 'piston' | 'box', wanted: boolean) => {
    const text = texts[field];
    if (!wanted || text.trim() === '') return null;
    const read = readLength(text, unit);
    if (read.error) errors[field] = read.error;
    return read.value === undefined ? null : { mm: read.value, text };
  };
  const pressed = texts.pressure.trim() === '' ? undefined : outcomeOf(() => parsePressure(texts.pressure));
  if (pressed?.problem) errors.pressure = pressed.problem.message;
  const plan = {
    kind,
    binder: cures ? binder : ('none' as const),
    binderPct: cures && binder !== 'none' ? readNumber(texts.binderPct) : 0,
    waterPct: optional(texts.water),
    pressure: block && pressed?.done !== undefined ? { mpa: pressed.done, text: texts.pressure } : null,
    piston: length('piston', block),
    areaMm2: block ? optional(texts.area) : null,
    box: length('box', kind === 'box'),
    count: readNumber(texts.count),
    soaked: block ? readNumber(texts.soaked) : 0,
    cureDays: cures ? readNumber(texts.cure) : 0,
    soakDays: block ? readNumber(texts.soak) : 0
  };
  for (const { field, message } of trialProblems(planOf(plan)))
    errors[PLAN_FIELDS[field as keyof typeof PLAN_FIELDS]] ??= message;
  if (Object.keys(errors).length > 0) return { errors };
  return {
    errors,
    payload: { trialId, sampleId: texts.sample, mix: texts.mix, note: texts.note, ...plan }
  };
}

/** The set as it would stand on its board, from what is typed; undefined where that is none yet. */
export function plannedView(texts: PlanTexts, by: Figures, unit: LengthUnit): TrialView | undefined {
  const { payload } = readPlan(texts, unit, '');
  if (!payload) return undefined;
  const blank = { areaMm2: null, piston: null, pressure: null, waterPct: null, box: null, mix: '', note: '' };
  return viewTrial(
    {
      ...blank,
      binder: 'none',
      binderPct: 0,
      soaked: 0,
      soakDays: 0,
      ...payload,
      id: '',
      code: '',
      sampleCode: '',
      sampleName: '',
      createdAt: 0,
      formedAt: null,
      soakedAt: null,
      finishedAt: null,
      cared: [],
      pieces: []
    },
    by,
    0
  );
}
