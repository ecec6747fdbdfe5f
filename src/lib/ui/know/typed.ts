import { fractionsFromGiven, outcomeOf, type Fractions } from '$lib/core';
import { readNumber } from '$lib/workbench/entry/figure';
import { t } from '$lib/words';

const PARTS = ['sand', 'silt', 'clay'] as const;

/** Percentages as they are typed; empty for the one that is the rest. */
export type TypedFractions = Record<keyof Fractions, string>;

export const NOTHING_TYPED: TypedFractions = { sand: '', silt: '', clay: '' };

/** What was typed as a point; nothing while fewer than two are there; or a sentence beside the part that is wrong. */
export function readTyped(typed: TypedFractions): {
  point?: Fractions;
  errors: Partial<Record<keyof Fractions, string>>;
} {
  const errors: Partial<Record<keyof Fractions, string>> = {};
  const given: Partial<Fractions> = {};
  for (const part of PARTS) {
    if (typed[part].trim() === '') continue;
    const value = readNumber(typed[part]);
    if (Number.isNaN(value)) errors[part] = t.know.number(t.layer[part]);
    else given[part] = value;
  }
  if (Object.keys(errors).length > 0) return { errors };
  // One alone is no point yet, but it can be wrong already.
  const typedOnes = Object.values(given);
  if (typedOnes.length === 0) return { errors };
  if (typedOnes.length === 1 && typedOnes[0] >= 0 && typedOnes[0] <= 100) return { errors };
  const { done, problem } = outcomeOf(() => fractionsFromGiven(given));
  return problem ? { errors: { [problem.field]: problem.message } } : { point: done, errors };
}

/** The third percentage where two are typed, as it stands greyed in its field. */
export function restOf(typed: TypedFractions): Partial<TypedFractions> {
  const empty = PARTS.filter((part) => typed[part].trim() === '');
  const { point } = readTyped(typed);
  if (empty.length !== 1 || !point) return {};
  return { [empty[0]]: point[empty[0]].toFixed(1).replace(/\.0$/, '') };
}

/** How a soil was moved: `3.0 points more clay, 3.0 less sand`. */
export function movedWords(from: Fractions, to: Fractions): string {
  return PARTS.map((part) => ({ part, d: to[part] - from[part] }))
    .filter(({ d }) => Math.abs(d) >= 0.05)
    .sort((a, b) => b.d - a.d)
    .map(({ part, d }) =>
      d > 0 ? t.know.more(d.toFixed(1), t.layer[part]) : t.know.less((-d).toFixed(1), t.layer[part])
    )
    .join(', ');
}
