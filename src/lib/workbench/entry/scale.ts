import {
  heightOfVolume,
  isStraight,
  lengthForField,
  volumeToHeight,
  addLengths,
  restOfLength,
  type LengthUnit,
  type Vessel
} from '../../core/index.ts';
import { rulerSigma } from '../../contract/reading.ts';
import type { Ruler, Way } from '../../contract/records/reading.ts';
import { t } from '../../words/index.ts';
import { readLength, type Read } from './figure.ts';

/** Where the ruler stands: its zero at the inside bottom, or on the table beside the glass. */
export type RulerZero = 'inside' | 'table';

/** The glass that is read. */
export type ReadGlass = { vessel: Vessel; waterMm: number };

/** How figures of a ruler are read, written and added up, all in mm over the inside bottom. */
export type Scale = {
  /** What a figure without a unit means. */
  unit: LengthUnit | 'mL';
  read(text: string): Read;
  /** As it stands in a field. */
  write(mm: number): string;
  /** A thickness on a height: millimetres add up, graduations add up as volumes. */
  onTop(belowMm: number, thickMm: number): number;
  /** What lies between two heights: millimetres, or for graduations the height that its volume has alone; below zero where they cross. */
  between(belowMm: number, topMm: number): number;
  /** Reading error of a line, mm: half a line where graduations are read. */
  sigmaMm: number;
};

/** The unit that a ruler is read in. @param unit what the hand is used to, for a height that is judged by eye */
const unitOf = (ruler: Ruler, unit: LengthUnit): LengthUnit | 'mL' =>
  ruler === 'sixteenths' ? 'in' : ruler === 'eye' ? unit : ruler;

/** The ruler that lies at hand for a unit. */
export const rulerFor = (unit: LengthUnit): Ruler => (unit === 'in' ? 'sixteenths' : unit);

/** Rulers that can be read on a glass: graduations only where it has them, centimetres for whoever counts in them. */
export function rulersOf(vessel: Vessel, unit: LengthUnit, own: Ruler): Ruler[] {
  const scaled = vessel.kind === 'cylinder' || (vessel.graduationMl ?? 0) > 0;
  return [
    ...(scaled ? ['mL' as const] : []),
    'mm',
    ...(unit === 'cm' || own === 'cm' ? ['cm' as const] : []),
    'sixteenths',
    'eye'
  ];
}

/** What half a line of the vessel's own scale stands for, mL. */
export const halfLineMl = (vessel: Vessel): number => (vessel.graduationMl ?? 1) / 2;

/** Height of a mL, mm: of a straight vessel everywhere, else at the middle of the water. */
export function mmPerMl({ vessel, waterMm }: ReadGlass): number {
  const half = volumeToHeight(vessel, waterMm) / 2;
  return heightOfVolume(vessel, half + 0.5) - heightOfVolume(vessel, half - 0.5);
}

/** A length with its unit is one on any ruler. */
const HAS_UNIT = /(mm|cm|in|inch|inches|"|″)\s*$/i;

function graduations(glass: ReadGlass): Scale {
  const { vessel } = glass;
  const mlAt = (mm: number) => volumeToHeight(vessel, mm);
  return {
    unit: 'mL',
    read(text) {
      if (HAS_UNIT.test(text.trim())) return readLength(text, 'mm');
      const bare = text.trim().replace(/\s*ml$/i, '');
      const ml = Number(bare.replace(',', '.'));
      return bare !== '' && Number.isFinite(ml) && ml >= 0
        ? { value: heightOfVolume(vessel, ml) }
        : { error: t.read.badMl };
    },
    write: (mm) => String(Math.round(10 * mlAt(mm)) / 10),
    onTop: (belowMm, thickMm) =>
      belowMm === 0 ? thickMm : heightOfVolume(vessel, mlAt(belowMm) + mlAt(thickMm)),
    between(belowMm, topMm) {
      const apart = restOfLength(topMm, belowMm);
      return apart <= 0 || belowMm === 0 ? apart : heightOfVolume(vessel, mlAt(topMm) - mlAt(belowMm));
    },
    sigmaMm: halfLineMl(vessel) * mmPerMl(glass)
  };
}

/** How the figures of a reading are meant, by its ruler and unit. */
export function scaleOf({ ruler, unit }: { ruler: Ruler; unit: LengthUnit }, glass: ReadGlass): Scale {
  if (ruler === 'mL') return graduations(glass);
  const lengthUnit = unitOf(ruler, unit) as LengthUnit;
  return {
    unit: lengthUnit,
    read: (text) => readLength(text, lengthUnit),
    write: (mm) => lengthForField(mm, lengthUnit),
    onTop: (belowMm, thickMm) => addLengths(belowMm, thickMm),
    between: (belowMm, topMm) => restOfLength(addLengths(topMm, -belowMm), 0),
    sigmaMm: rulerSigma(ruler)
  };
}

/** Where heights stand for volumes only by way of the vessel's shape. */
export const isShaped = ({ vessel }: Pick<ReadGlass, 'vessel'>): boolean => !isStraight(vessel);

/** What the ruler shows at the inside bottom, mm: taken off every height that is typed. */
export function offsetOf(
  { ruler, way, zero }: { ruler: Ruler; way: Way; zero: RulerZero },
  { vessel }: Pick<ReadGlass, 'vessel'>
): number {
  return ruler !== 'mL' && way === 'heights' && zero === 'table' ? vessel.baseThicknessMm : 0;
}
