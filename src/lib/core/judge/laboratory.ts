import { isOpen } from './open.ts';

/** What a decision hangs on that no jar says. */
export const LAB_REASONS = ['food-doubtful', 'nutrients', 'building', 'dispute'] as const;
export type LabReason = (typeof LAB_REASONS)[number];

/**
 * Whether a laboratory's report is worth its fee for a decision.
 *
 * `asked`: something hangs on it that a jar cannot say. `sure`: the verdict is sure enough. `same`: what is done is the same
 * on both sides of the line. `open`: it would decide.
 */
export type LabWorth = { worth: boolean; why: 'asked' | 'sure' | 'same' | 'open' };

/** @param chance of the verdict; `differs` whether one would do something else if it came out the other way */
export function laboratoryWorth(o: {
  chance: number;
  differs: boolean;
  reasons: readonly LabReason[];
}): LabWorth {
  if (o.reasons.length > 0) return { worth: true, why: 'asked' };
  if (!isOpen(o.chance)) return { worth: false, why: 'sure' };
  return o.differs ? { worth: true, why: 'open' } : { worth: false, why: 'same' };
}
