import { formatPressure, type Figures, type TrialPlan, type TrialTells } from '../core/index.ts';
import { chanceText } from './headline.ts';
import type { Format } from './format.ts';
import { t } from './index.ts';

/** English. What a set comes to, in one sentence; undefined before any piece has told. */
export function trialVerdict(
  tells: TrialTells,
  by: Pick<Figures, 'blockDryMpa' | 'blockWetMpa'>,
  format: Format
): string | undefined {
  const { says, dry, wet, shrinks, ribbon } = tells;
  if (!says) return undefined;
  const figure = wet
    ? formatPressure(wet.mean)
    : dry
      ? formatPressure(dry.mean)
      : shrinks
        ? `${shrinks.mean.toFixed(1)} %`
        : ribbon
          ? format.length(ribbon.mm)
          : '';
  const asked = formatPressure(wet ? by.blockWetMpa : by.blockDryMpa);
  return t.trial.says[says.kind](figure, says.chance === undefined ? '' : chanceText(says.chance), asked);
}

/** What a set is made of, without its soil: `9 buckets …, 8 % cement`; `plain` where nothing is mixed in. */
export function mixLine({
  mix,
  binder,
  binderPct
}: Pick<TrialPlan, 'binder' | 'binderPct'> & { mix: string }): string {
  const bound = binder === 'none' ? '' : t.trial.withBinder(t.trial.binders[binder], `${binderPct} %`);
  return [mix, bound].filter(Boolean).join(', ') || t.trial.binders.none;
}

/** The same in few words, for a table. */
export function saysShort({ says }: Pick<TrialTells, 'says'>): string {
  if (!says) return t.trial.none;
  const what = t.trial.shortly[says.kind] ?? says.kind;
  return t.trial.saysShort(
    what,
    says.chance === undefined || says.kind === 'falls' ? '' : chanceText(says.chance)
  );
}
