import {
  loadedArea,
  outcomeOf,
  parsePressure,
  pieceProblems,
  pressProblems,
  simulatedGauge,
  simulatedStrength,
  type Drop,
  type Fractions,
  type LengthUnit,
  type SoakLook
} from '$lib/core';
import type { PayloadInput } from '$lib/contract/commands';
import type { TrialRecord, TypedSeen } from '$lib/contract/records/trial';
import { planOf, seenOf, type PieceView } from '$lib/workbench/trials';
import type { FieldErrors, FormRead } from '../fields/command-form.svelte';
import { keptLength, readLength, readNumber } from '$lib/workbench/entry/figure';

/** What is typed of one piece. */
export type PieceTexts = {
  drop: Drop | '';
  length: string;
  cracked: boolean;
  sides: [string, string, string];
  mass: string;
  wetMass: string;
  gauge: string;
  simulated: boolean;
  look: SoakLook | '';
  note: string;
};

/** What stands in the form of a piece: what was kept of it, or the sides of the last one, for they come out of one mould. */
export function pieceTexts(
  { record }: PieceView,
  trial: Pick<TrialRecord, 'pieces'>,
  unit: LengthUnit
): PieceTexts {
  const seen = record?.seen;
  const number = (x: number | undefined) => (x === undefined ? '' : String(x));
  const sides = seen?.sides ?? trial.pieces.findLast((piece) => piece.seen.sides)?.seen.sides;
  return {
    drop: seen?.drop ?? '',
    length: keptLength(seen?.length, unit),
    cracked: seen?.cracked ?? false,
    sides: [0, 1, 2].map((i) => keptLength(sides?.[i], unit)) as PieceTexts['sides'],
    mass: number(seen?.massG),
    wetMass: number(seen?.wetMassG),
    gauge: seen?.gauge?.text ?? '',
    simulated: record?.simulated ?? false,
    look: seen?.look ?? '',
    note: record?.note ?? ''
  };
}

/** Fields of the core by those of the form. */
export const PIECE_FIELDS = {
  drop: 'drop',
  lengthMm: 'length',
  sidesMm: 'sides',
  massG: 'mass',
  wetMassG: 'wetMass',
  gaugeMpa: 'gauge',
  look: 'look',
  no: ''
} as const;

/** Reads the form of one piece; only what its kind asks for. */
export function readPiece(
  texts: PieceTexts,
  { trial, piece, unit, pieceId }: { trial: TrialRecord; piece: PieceView; unit: LengthUnit; pieceId: string }
): FormRead<PayloadInput<'piece.keep'>> {
  const errors: FieldErrors = {};
  const { kind } = trial;
  const block = kind === 'block';
  const length = (text: string, field: keyof PieceTexts) => {
    const read = readLength(text, unit);
    if (read.error) errors[field] ??= read.error;
    return { mm: read.value ?? 0, text };
  };
  const number = (text: string) => (text.trim() === '' ? undefined : readNumber(text));
  const gauge = block && texts.gauge.trim() !== '' ? outcomeOf(() => parsePressure(texts.gauge)) : undefined;
  if (gauge?.problem) errors.gauge = gauge.problem.message;
  const typedSides = texts.sides.some((side) => side.trim() !== '');
  const [massG, wetMassG] = [number(texts.mass), number(texts.wetMass)];
  const seen: TypedSeen = {
    ...(kind === 'ball' && texts.drop ? { drop: texts.drop } : {}),
    ...(kind === 'ribbon' || kind === 'box' ? { length: length(texts.length, 'length') } : {}),
    ...(kind === 'box' ? { cracked: texts.cracked } : {}),
    ...(block && typedSides
      ? { sides: texts.sides.map((side) => length(side, 'sides')) as TypedSeen['sides'] }
      : {}),
    ...(block && massG !== undefined ? { massG } : {}),
    ...(block && piece.soaked && wetMassG !== undefined ? { wetMassG } : {}),
    ...(block && piece.soaked && texts.look ? { look: texts.look } : {}),
    ...(gauge?.done !== undefined && texts.look !== 'falls'
      ? { gauge: { mpa: gauge.done, text: texts.gauge } }
      : {})
  };
  for (const { field, message } of pieceProblems(planOf(trial), { no: piece.no, seen: seenOf(seen) }))
    errors[PIECE_FIELDS[field as keyof typeof PIECE_FIELDS]] ??= message;
  if (Object.keys(errors).length > 0) return { errors };
  const simulated = texts.simulated && seen.gauge !== undefined;
  return {
    errors,
    payload: { trialId: trial.id, pieceId, no: piece.no, seen, simulated, note: texts.note }
  };
}

/** Formed by hand where nobody pressed it, MPa; clay of a soil that nobody read, percent. */
const BY_HAND = { pressureMpa: 4, clay: 20 };

/** What a simulated press shows as this piece breaks, MPa; undefined where piston or sides are not known yet. */
export function simulatedReading(
  trial: TrialRecord,
  piece: PieceView,
  o: { texts: PieceTexts; unit: LengthUnit; soil: Fractions | null; seed: number }
): number | undefined {
  const [a, b, c] = o.texts.sides.map((side) => readLength(side, o.unit).value ?? NaN);
  const plan = planOf(trial);
  const areaMm2 = loadedArea(plan, { sidesMm: [a, b, c] });
  const { pistonMm, binder, binderPct } = plan;
  if (pistonMm === null || areaMm2 === undefined || pressProblems({ pistonMm, areaMm2 }).length > 0)
    return undefined;
  const strengthMpa = simulatedStrength({
    clay: o.soil?.clay ?? BY_HAND.clay,
    pressureMpa: plan.pressureMpa ?? BY_HAND.pressureMpa,
    binder,
    binderPct,
    wet: piece.soaked
  });
  return simulatedGauge({ strengthMpa, pistonMm, areaMm2 }, o.seed).read();
}
