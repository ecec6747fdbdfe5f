import {
  checkFill,
  cutReport,
  fillDoubts,
  fillPlan,
  lengthForField,
  outcomeOf,
  columnFacts,
  trueMarks,
  type CutInput,
  type CutReport,
  type FillDoubt,
  type FillPlan,
  type RunMethod,
  type Vessel
} from '$lib/core';
import { isInstrument } from '$lib/contract/cylinder';
import type { Purpose } from '$lib/contract/records/sample';
import type { Profile } from '$lib/words/profile';
import type { Measured } from '../fields/draft';
import { readLength, readTemperature } from '$lib/workbench/entry/figure';

/** The form of a jar to be set, as typed. Empty fill fields mean: what the method asks for. */
export type SetForm = {
  sampleMode: 'new' | 'old';
  sampleId: string;
  sampleName: string;
  purpose: Purpose;
  vesselId: string;
  methodKey: string;
  temp: string;
  soil: string;
  water: string;
  /** Area that a new sample is from, by id; empty for none. */
  areaId: string;
  /** Size, um, from which sand is counted by true marks; empty for the method's own marks. */
  trueMarks: string;
};

/** Its fields with a unit of the profile. */
export const FILL_MEASURED: Measured = { lengths: ['soil', 'water'], temperatures: ['temp'] };

/** The answer to the form: what to fill, what the marks mean, and what is wrong beside which field. */
export type SetAnswer = {
  tempC?: number;
  /** What the method asks for, until both heights are good; then the amounts for those. */
  plan?: FillPlan;
  asked?: FillPlan;
  soilMm?: number;
  waterMm?: number;
  report?: CutReport;
  doubts: FillDoubt[];
  errors: Partial<Record<'temp' | 'soilMm' | 'waterMm', string>>;
};

/** Water that nobody measured is taken to be so warm, degC. */
export const USUAL_TEMP_C = 18;

/**
 * What of a form is taken for granted: the warmth of the water where none was typed, and the dispersant of a jar until somebody
 * says what went in. A cylinder is weighed in by its own list.
 */
export const takenFor = (
  { temp }: Pick<SetForm, 'temp'>,
  method: RunMethod
): ('tempC' | 'dispersantMl')[] => [
  ...(temp.trim() === '' ? (['tempC'] as const) : []),
  ...(isInstrument(method) || method.dispersant.mlPerL === 0 ? [] : (['dispersantMl'] as const))
];

/** Reads the form for a vessel and a method. */
export function answerForm(
  form: Pick<SetForm, 'temp' | 'soil' | 'water'>,
  method: RunMethod,
  vessel: Vessel | undefined,
  profile: Profile,
  trueSandUm: number | null = null
): SetAnswer {
  const errors: SetAnswer['errors'] = {};
  const temp =
    form.temp.trim() === '' ? { value: USUAL_TEMP_C } : readTemperature(form.temp, profile.temperature);
  if ('error' in temp && temp.error) errors.temp = temp.error;
  if (!vessel) return { tempC: temp.value, errors, doubts: [] };
  const plan = fillPlan(method, vessel);
  const soil = form.soil.trim() === '' ? { value: plan.soilMm } : readLength(form.soil, profile.length);
  const water = form.water.trim() === '' ? { value: plan.waterMm } : readLength(form.water, profile.length);
  if ('error' in soil && soil.error) errors.soilMm = soil.error;
  if ('error' in water && water.error) errors.waterMm = water.error;
  const answer: SetAnswer = {
    tempC: temp.value,
    plan,
    asked: plan,
    soilMm: soil.value,
    waterMm: water.value,
    errors,
    doubts: []
  };
  if (soil.value === undefined || water.value === undefined) return answer;
  const fill = { soilMm: soil.value, waterMm: water.value };
  const { problem } = outcomeOf(() => checkFill(vessel, fill.soilMm, fill.waterMm));
  if (problem) {
    errors[problem.field as 'soilMm' | 'waterMm'] = problem.message;
    return answer;
  }
  answer.plan = fillPlan(method, vessel, fill);
  if (temp.value === undefined) return answer;
  const jar = columnFacts({ ...fill, tempC: temp.value });
  const cuts = outcomeOf(() => {
    const marks = trueSandUm === null ? method.marks : trueMarks(method, jar, trueSandUm);
    const report = cutReport({ ...method, marks }, jar);
    return { report, doubts: fillDoubts(vessel, fill.soilMm, report.phi0) };
  });
  if (cuts.problem) errors.soilMm = cuts.problem.message;
  Object.assign(answer, cuts.done);
  return answer;
}

/** The jar of an answer as the cut sizes see it; undefined while anything is wrong. */
export function jarOf(answer: SetAnswer): CutInput | undefined {
  const { tempC, soilMm, waterMm, errors } = answer;
  if (tempC === undefined || soilMm === undefined || waterMm === undefined) return undefined;
  if (Object.keys(errors).length > 0) return undefined;
  return columnFacts({ waterMm, tempC, soilMm });
}

/** A fill height as it stands greyed in its field. */
export function placeholder(mm: number | undefined, profile: Profile): string {
  return mm === undefined ? '' : `${lengthForField(mm, profile.length)} ${profile.length}`;
}
