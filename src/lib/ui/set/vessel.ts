import {
  checkVessel,
  outcomeOf,
  vesselFromOutside,
  vesselFromProfile,
  volumeCheck,
  volumeToHeight,
  type LengthUnit,
  type ProfilePoint,
  type TempUnit,
  type Vessel
} from '$lib/core';
import { readLength, readTemperature } from '$lib/workbench/entry/figure';
import { t } from '$lib/words';
import type { Measured } from '../fields/draft';

/** How a vessel of one's own is given: measured inside, by its outside, or by diameters at heights. */
export const VESSEL_WAYS = ['inside', 'outside', 'profile'] as const;
export type VesselWay = (typeof VESSEL_WAYS)[number];

/** What is typed, all as text. */
export type VesselTexts = {
  name: string;
  kind: Vessel['kind'];
  way: VesselWay;
  innerHeightMm: string;
  innerDiameterMm: string;
  shoulderHeightMm: string;
  mouthDiameterMm: string;
  baseThicknessMm: string;
  domeMm: string;
  graduationMl: string;
  capacityMl: string;
  outerHeightMm: string;
  outerDiameterMm: string;
  wallMm: string;
  pairs: { height: string; diameter: string }[];
  waterG: string;
  toMm: string;
  tempC: string;
};

/** A blank form. */
export function blankVessel(): VesselTexts {
  const empty = { height: '', diameter: '' };
  return {
    name: '',
    kind: 'jar',
    way: 'inside',
    innerHeightMm: '',
    innerDiameterMm: '',
    shoulderHeightMm: '',
    mouthDiameterMm: '',
    baseThicknessMm: '',
    domeMm: '',
    graduationMl: '',
    capacityMl: '',
    outerHeightMm: '',
    outerDiameterMm: '',
    wallMm: '',
    pairs: [{ ...empty }, { ...empty }, { ...empty }],
    waterG: '',
    toMm: '',
    tempC: ''
  };
}

/** Fields of each way, in the order in which they are measured; those of a straight cylinder in brackets fall away. */
export const VESSEL_FIELDS: Record<VesselWay, readonly (keyof VesselTexts)[]> = {
  inside: ['innerHeightMm', 'innerDiameterMm', 'shoulderHeightMm', 'mouthDiameterMm', 'baseThicknessMm'],
  outside: ['capacityMl', 'outerHeightMm', 'outerDiameterMm', 'mouthDiameterMm', 'baseThicknessMm', 'wallMm'],
  profile: ['baseThicknessMm']
};

/** Fields with a unit of the profile. */
export const VESSEL_MEASURED: Measured = {
  lengths: [
    'innerHeightMm',
    'innerDiameterMm',
    'shoulderHeightMm',
    'mouthDiameterMm',
    'baseThicknessMm',
    'domeMm',
    'outerHeightMm',
    'outerDiameterMm',
    'wallMm',
    'pairs',
    'toMm'
  ],
  temperatures: ['tempC']
};

/** Typical glass, mm, where nothing is typed. */
const USUAL_WALL_MM = 2.5;

type Answer = { vessel?: Vessel; errors: Record<string, string> };
const refused = (errors: Record<string, string>): Answer => ({ errors });

function plainNumber(text: string): number {
  return Number(
    text
      .trim()
      .replace(/\s*(ml|g)$/i, '')
      .replace(',', '.')
  );
}

/**
 * Reads the form.
 * @returns the vessel as the core takes it, or a sentence beside each field that is wrong; pairs by `pairs.0`
 */
export function vesselOf(texts: VesselTexts, unit: LengthUnit): Answer {
  const errors: Record<string, string> = {};
  const length = (key: keyof VesselTexts, usual?: number): number => {
    const text = String(texts[key]);
    if (text.trim() === '' && usual !== undefined) return usual;
    const read = readLength(text, unit);
    if (read.error) errors[key] = read.error;
    return read.value ?? NaN;
  };
  const amount = (key: 'capacityMl' | 'graduationMl'): number => {
    const n = plainNumber(texts[key]);
    if (!(n > 0) || texts[key].trim() === '') errors[key] = t.vessel.badMl;
    return n;
  };
  const common = {
    kind: texts.kind,
    baseThicknessMm: length('baseThicknessMm'),
    domeMm: length('domeMm', 0),
    graduationMl: texts.graduationMl.trim() === '' ? null : amount('graduationMl')
  };
  /** What was measured makes a vessel, as long as every measure could be read. */
  const read = <V>(make: () => V): V | undefined => (Object.keys(errors).length > 0 ? undefined : make());
  const { done: vessel, problem } = outcomeOf((): Vessel | undefined => {
    if (texts.way === 'profile') {
      const points = readPairs(texts.pairs, unit, errors);
      return read(() => vesselFromProfile(points, common));
    }
    if (texts.way === 'outside') {
      const outside = {
        ...common,
        capacityMl: amount('capacityMl'),
        outerHeightMm: length('outerHeightMm'),
        outerDiameterMm: length('outerDiameterMm'),
        mouthDiameterMm: length('mouthDiameterMm'),
        wallMm: length('wallMm', USUAL_WALL_MM)
      };
      return read(() => vesselFromOutside(outside));
    }
    const [innerHeightMm, innerDiameterMm] = [length('innerHeightMm'), length('innerDiameterMm')];
    const straight = texts.kind === 'cylinder';
    const inside: Vessel = {
      ...common,
      innerHeightMm,
      innerDiameterMm,
      shoulderHeightMm: straight ? innerHeightMm : length('shoulderHeightMm'),
      mouthDiameterMm: straight ? innerDiameterMm : length('mouthDiameterMm'),
      profile: null
    };
    read(() => checkVessel(inside));
    return inside;
  });
  if (problem) return refused({ [problem.field]: problem.message });
  return vessel && Object.keys(errors).length === 0 ? { vessel, errors } : refused(errors);
}

function readPairs(
  pairs: VesselTexts['pairs'],
  unit: LengthUnit,
  errors: Record<string, string>
): ProfilePoint[] {
  const points: ProfilePoint[] = [];
  pairs.forEach(({ height, diameter }, i) => {
    if (height.trim() === '' && diameter.trim() === '') return;
    const [h, d] = [readLength(height, unit), readLength(diameter, unit)];
    if (h.value === undefined || d.value === undefined) errors[`pairs.${i}`] = h.error ?? d.error ?? '';
    else points.push({ heightMm: h.value, diameterMm: d.value });
  });
  return points;
}

/** What weighed water says of a vessel: the check, or what is wrong beside a field; nothing before both are typed. */
export function checkByWater(
  vessel: Vessel,
  texts: Pick<VesselTexts, 'waterG' | 'toMm' | 'tempC'>,
  units: { length: LengthUnit; temperature: TempUnit }
): { check?: ReturnType<typeof volumeCheck>; errors: Record<string, string> } {
  if (texts.waterG.trim() === '') return { errors: {} };
  const to =
    texts.toMm.trim() === '' ? { value: vessel.innerHeightMm } : readLength(texts.toMm, units.length);
  if (to.value === undefined) return { errors: { toMm: to.error } };
  const toMm = to.value;
  const warm = texts.tempC.trim() === '' ? { value: 20 } : readTemperature(texts.tempC, units.temperature);
  if ('error' in warm && warm.error) return { errors: { tempC: warm.error } };
  const { done, problem } = outcomeOf(() =>
    volumeCheck(vessel, { waterG: plainNumber(texts.waterG), toMm, tempC: warm.value })
  );
  return problem ? { errors: { [problem.field]: problem.message } } : { check: done, errors: {} };
}

/** Capacity to the rim and to the shoulder, mL. */
export function capacities(vessel: Vessel): { rimMl: number; shoulderMl: number } {
  return {
    rimMl: volumeToHeight(vessel, vessel.innerHeightMm),
    shoulderMl: volumeToHeight(vessel, vessel.shoulderHeightMm)
  };
}
