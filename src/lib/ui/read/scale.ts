import { heightOfVolume, lengthForField, volumeToHeight, type LengthUnit, type Vessel } from '$lib/core';
import type { ReadingEntry } from '$lib/contract/records/reading';
import { readLength, type Read } from '../fields/read';
import { t } from '$lib/words';

/** How the figures of a ruler are read and written, mm over the inside bottom: as lengths, or as graduations of the glass. */
export type Scale = { unit: LengthUnit | 'mL'; read(text: string): Read; write(mm: number): string };

/** @param unit the profile's: a ruler in sixteenths is an inch ruler whatever it says, and any other is none */
export function scaleOf(ruler: ReadingEntry['ruler'], unit: LengthUnit, vessel: Vessel): Scale {
  if (ruler === 'mL') {
    return {
      unit: 'mL',
      read(text) {
        // A length with its unit is one on any ruler.
        if (/(mm|cm|in|inch|inches|"|″)\s*$/i.test(text.trim())) return readLength(text, 'mm');
        const bare = text.trim().replace(/\s*ml$/i, '');
        const ml = Number(bare.replace(',', '.'));
        return bare !== '' && Number.isFinite(ml) && ml >= 0
          ? { value: heightOfVolume(vessel, ml) }
          : { error: t.read.badMl };
      },
      write: (mm) => String(Math.round(10 * volumeToHeight(vessel, mm)) / 10)
    };
  }
  const lengthUnit = ruler === 'sixteenths' ? 'in' : unit === 'in' ? 'mm' : unit;
  return {
    unit: lengthUnit,
    read: (text) => readLength(text, lengthUnit),
    write: (mm) => lengthForField(mm, lengthUnit)
  };
}
