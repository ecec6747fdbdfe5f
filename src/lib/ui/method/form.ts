import { ulid } from 'ulid';
import {
  draftOf,
  methodProblems,
  type InstrumentDraft,
  type Method,
  type MethodDraft,
  type MethodField
} from '$lib/core';
import { readDuration } from '$lib/workbench/entry/figure';
import { t } from '$lib/words';

const LAYERS = ['sand', 'silt', 'clay'] as const;
type Layer = (typeof LAYERS)[number];

/** How an instrument is read, as it is typed. A hydrometer has readings; a pipette a depth, a lead and limits. */
export type InstrumentForm = {
  kind: InstrumentDraft['kind'];
  soil: string;
  readings: { at: string; lead: string }[];
  depth: string;
  lead: string;
  limits: string[];
};

/** A method as it is typed, all text, so that a draft keeps it to the letter. */
export type MethodForm = {
  name: string;
  purpose: string;
  vesselKind: 'jar' | 'cylinder';
  /** Percent of the height to the shoulder. */
  soil: string;
  waterAt: 'neck' | 'near-top' | 'share';
  /** Percent of the inner height. */
  water: string;
  dose: string;
  how: string;
  shakeFrom: string;
  shakeTo: string;
  marks: Record<Layer, { at: string; until: string }>;
  endFrom: string;
  endTo: string;
  /** Set for a method that is read with an instrument; what belongs to layers is then not asked for. */
  instrument?: InstrumentForm;
  steps: StepTexts[];
};

/** A step of the work and its reason; the id stands for it while steps are put in order. */
export type StepTexts = { id: string; text: string; why: string };

/** A duration as it stands in a field. */
export function durationText(seconds: number): string {
  if (seconds >= 3600 && seconds % (seconds >= 7200 ? 1800 : 3600) === 0) return `${seconds / 3600} h`;
  return seconds >= 60 && seconds % 60 === 0 ? `${seconds / 60} min` : `${seconds} s`;
}

/** A percentage as a share, without the dust of floating point. */
const shareOf = (pct: number) => Math.round(1e6 * pct) / 1e8;
const percentText = (share: number) => String(Math.round(1000 * share) / 10);

function instrumentForm(draft: InstrumentDraft): InstrumentForm {
  const form = { kind: draft.kind, soil: String(draft.soilG), readings: [], depth: '', lead: '', limits: [] };
  return draft.kind === 'hydrometer'
    ? {
        ...form,
        readings: draft.readings.map(({ atS, leadS }) => ({
          at: durationText(atS),
          lead: durationText(leadS)
        }))
      }
    : {
        ...form,
        depth: String(draft.depthMm),
        lead: durationText(draft.leadS),
        limits: draft.limitsUm.map(String)
      };
}

/** The form of a method. */
export function methodForm(method: Method): MethodForm {
  const draft = draftOf(method);
  const mark = (layer: Layer) => {
    const found = draft.marks.find((m) => m.layer === layer);
    return {
      at: found ? durationText(found.atS) : '',
      until: found?.untilS === undefined ? '' : durationText(found.untilS)
    };
  };
  const share = typeof draft.water === 'number';
  return {
    name: draft.name,
    purpose: draft.purpose,
    vesselKind: draft.vesselKind,
    soil: percentText(draft.soilShare),
    waterAt: share ? 'share' : (draft.water as 'neck'),
    water: share ? percentText(draft.water as number) : '',
    dose: String(draft.dispersantMlPerL),
    how: draft.agitate.how,
    shakeFrom: durationText(draft.agitate.fromS),
    shakeTo: durationText(draft.agitate.toS),
    marks: { sand: mark('sand'), silt: mark('silt'), clay: mark('clay') },
    endFrom: durationText(draft.end.fromS),
    endTo: durationText(draft.end.toS),
    ...(draft.instrument ? { instrument: instrumentForm(draft.instrument) } : {}),
    steps: draft.steps.map(({ text, why }) => ({ id: ulid(), text, why: why ?? '' }))
  };
}

export type MethodErrors = Partial<Record<MethodField, string>>;

/** Reads the form: the draft, and a sentence for each field that cannot be read or does not hold. */
export function readMethodForm(form: MethodForm): { draft: MethodDraft; errors: MethodErrors } {
  const errors: MethodErrors = {};
  const time = (text: string, field: MethodField): number => {
    const read = readDuration(text);
    if (read.error) errors[field] ??= read.error;
    return read.value ?? NaN;
  };
  const number = (text: string, field: MethodField, words: string): number => {
    const value = Number(text.trim().replace(/\s*%$/, '').replace(',', '.'));
    if (text.trim() !== '' && Number.isFinite(value)) return value;
    errors[field] = words;
    return NaN;
  };
  const instrument = (typed: InstrumentForm): InstrumentDraft => {
    const soilG = number(typed.soil, 'soilG', t.methods.badGrams);
    if (typed.kind === 'hydrometer') {
      return {
        kind: 'hydrometer',
        soilG,
        readings: typed.readings.map(({ at, lead }, i) => ({
          atS: time(at, `reading.${i}`),
          leadS: lead.trim() === '' ? 0 : time(lead, `reading.${i}`)
        }))
      };
    }
    return {
      kind: 'pipette',
      soilG,
      depthMm: number(typed.depth, 'depthMm', t.methods.badDepth),
      leadS: time(typed.lead, 'leadS'),
      limitsUm: typed.limits.map((um, i) => number(um, `reading.${i}`, t.methods.badSize))
    };
  };
  const marks = LAYERS.flatMap((layer) => {
    const { at, until } = form.marks[layer];
    if (at.trim() === '' && until.trim() === '') return [];
    const atS = time(at, layer);
    return [{ layer, atS, ...(until.trim() === '' ? {} : { untilS: time(until, layer) }) }];
  });
  const draft: MethodDraft = {
    name: form.name,
    purpose: form.purpose,
    vesselKind: form.vesselKind,
    soilShare: shareOf(number(form.soil, 'soilShare', t.methods.badShare)),
    water: form.waterAt === 'share' ? shareOf(number(form.water, 'water', t.methods.badShare)) : form.waterAt,
    dispersantMlPerL: number(form.dose, 'dispersantMlPerL', t.methods.badDose),
    agitate: {
      how: form.how,
      fromS: time(form.shakeFrom, 'agitate'),
      toS: time(form.shakeTo, 'agitate')
    },
    marks,
    end: { fromS: time(form.endFrom, 'end'), toS: time(form.endTo, 'end') },
    ...(form.instrument ? { instrument: instrument(form.instrument) } : {}),
    steps: form.steps
      .filter((s) => s.text.trim() !== '')
      .map(({ text, why }) => ({ text, ...(why.trim() ? { why } : {}) }))
  };
  // What could not be read comes before what does not hold.
  return { draft, errors: { ...methodProblems(draft), ...errors } };
}
