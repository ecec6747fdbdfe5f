import type { Vessel } from '$lib/core';
import { t } from '$lib/words';

/** Heights of a vessel, mm, that are known without a ruler, and what they are called. */
export function knownHeights(
  vessel: Pick<Vessel, 'shoulderHeightMm' | 'innerHeightMm'>,
  waterMm: number
): { label: string; mm: number }[] {
  const { places } = t.picture;
  return [
    { label: places.bottom, mm: 0 },
    { label: places.water, mm: waterMm },
    ...(vessel.shoulderHeightMm < vessel.innerHeightMm
      ? [{ label: places.shoulder, mm: vessel.shoulderHeightMm }]
      : []),
    { label: places.rim, mm: vessel.innerHeightMm }
  ];
}
