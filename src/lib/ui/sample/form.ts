import type { LengthUnit } from '$lib/core';
import type { Purpose, SampleDetails, SampleRecord, TypedLength } from '$lib/contract/records/sample';
import { keptLength, readLength } from '$lib/workbench/entry/figure';
import { meshUnit, type Measured } from '../fields/draft';
import { readDay } from '../fields/time';
import { t } from '$lib/words';

/** The record of a sample as it is typed, all text, so that a draft keeps it to the letter. */
export type SampleForm = {
  name: string;
  purpose: Purpose;
  note: string;
  takenOn: string;
  depthFrom: string;
  depthTo: string;
  takenOut: string;
  dried: string;
  sieve: string;
  gravel: string;
  gravelUnit: 'g' | 'mL';
  /** The whole sample, in the same unit. */
  gravelWhole: string;
  look: string;
  /** Id of its area, or nothing. */
  areaId: string;
  spotIds: string[];
};

/** Its fields with a unit of the profile. */
export const SAMPLE_MEASURED: Measured = { lengths: ['depthFrom', 'depthTo'], meshes: ['sieve'] };

/** The form of a sample on record. */
export function formOf(
  { name, purpose, note, areaId, spotIds, details: d }: SampleRecord,
  unit: LengthUnit
): SampleForm {
  return {
    name,
    purpose,
    note,
    takenOn: d.takenOn ?? '',
    depthFrom: keptLength(d.depthFrom, unit),
    depthTo: keptLength(d.depthTo, unit),
    takenOut: d.takenOut ?? '',
    dried: d.driedH === undefined ? '' : String(d.driedH),
    sieve: keptLength(d.sieve, meshUnit(unit)),
    gravel: d.gravel === undefined ? '' : String(d.gravel.amount),
    gravelUnit: d.gravel?.unit ?? 'g',
    gravelWhole: d.gravel?.whole === undefined ? '' : String(d.gravel.whole),
    look: d.look ?? '',
    areaId: areaId ?? '',
    spotIds: [...spotIds]
  };
}

/** Reads the form: the details it gives, and a sentence for each field that cannot be read. */
export function readSampleForm(
  form: SampleForm,
  unit: LengthUnit
): { details: SampleDetails; errors: Partial<Record<keyof SampleForm, string>> } {
  const errors: Partial<Record<keyof SampleForm, string>> = {};
  const length = (
    field: 'depthFrom' | 'depthTo' | 'sieve',
    unitHere: LengthUnit
  ): TypedLength | undefined => {
    const text = form[field].trim();
    if (text === '') return undefined;
    const read = readLength(text, unitHere);
    if (read.error) errors[field] = read.error;
    return read.value === undefined ? undefined : { mm: read.value, text };
  };
  const number = (field: 'dried' | 'gravel' | 'gravelWhole'): number | undefined => {
    // A draft from before the whole was asked for lacks it.
    const text = (form[field] ?? '').trim();
    if (text === '') return undefined;
    const value = Number(text.replace(',', '.'));
    if (Number.isFinite(value) && value >= 0) return value;
    errors[field] = t.sample.badNumber[field === 'gravelWhole' ? 'gravel' : field];
    return undefined;
  };
  if (form.takenOn !== '' && !readDay(form.takenOn)) errors.takenOn = t.fields.badDay;
  const depthFrom = length('depthFrom', unit);
  const depthTo = length('depthTo', unit);
  if (depthFrom && depthTo && depthTo.mm <= depthFrom.mm) errors.depthTo = t.sample.depthOrder;
  const gravel = number('gravel');
  const whole = number('gravelWhole');
  if (gravel !== undefined && whole !== undefined && !(whole > 0 && whole >= gravel)) {
    errors.gravelWhole = t.sample.wholeTooSmall;
  }
  const found: SampleDetails = {
    takenOn: form.takenOn || undefined,
    depthFrom,
    depthTo,
    takenOut: form.takenOut.trim() || undefined,
    driedH: number('dried'),
    sieve: length('sieve', meshUnit(unit)),
    gravel:
      gravel === undefined
        ? undefined
        : { amount: gravel, unit: form.gravelUnit, ...(whole === undefined ? {} : { whole }) },
    look: form.look.trim() || undefined
  };
  const details = Object.fromEntries(
    Object.entries(found).filter(([, v]) => v !== undefined)
  ) as SampleDetails;
  return { details, errors };
}
