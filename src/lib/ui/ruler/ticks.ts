import { fromMm, type LengthUnit } from '$lib/core';

/** A line on the ruler: where, how long (0-1), and its number if it carries one. */
export type Tick = { mm: number; length: number; label?: string };

/**
 * Lines of a ruler from zero to a height: mm and tens, sixteenths and inches, or the graduations of a cylinder.
 * @param mmPerMl height of a mL, for graduations
 */
export function rulerTicks(toMm: number, unit: LengthUnit | 'mL', mmPerMl = 1): Tick[] {
  const ticks: Tick[] = [];
  if (unit === 'in') {
    const stepMm = 25.4 / 16;
    for (let i = 0; i * stepMm <= toMm; i++) {
      const length = i % 16 === 0 ? 1 : i % 8 === 0 ? 0.72 : i % 4 === 0 ? 0.52 : i % 2 === 0 ? 0.36 : 0.22;
      ticks.push({ mm: i * stepMm, length, label: i % 16 === 0 && i > 0 ? String(i / 16) : undefined });
    }
    return ticks;
  }
  if (unit === 'mL') {
    // On a wide cylinder a mL is too fine to draw: every tenth then.
    const step = mmPerMl < 0.8 ? 10 : 1;
    for (let i = 0; i * step * mmPerMl <= toMm; i++) {
      const length = i % 10 === 0 ? 1 : i % 5 === 0 ? 0.68 : 0.36;
      const label = i % 10 === 0 && i > 0 ? String(i * step) : undefined;
      ticks.push({ mm: i * step * mmPerMl, length, label });
    }
    return ticks;
  }
  for (let mm = 0; mm <= toMm; mm++) {
    const length = mm % 10 === 0 ? 1 : mm % 5 === 0 ? 0.68 : 0.36;
    ticks.push({ mm, length, label: mm % 10 === 0 && mm > 0 ? String(fromMm(mm, unit)) : undefined });
  }
  return ticks;
}
