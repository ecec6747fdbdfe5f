import { OPEN, type BoreVerdict, type Bounds, type Judgement, type Window } from '../core/index.ts';
import { chanceText } from './headline.ts';
import { t } from './index.ts';

/** English. What a soil comes to for a bed, in one sentence with its chance. */
export function bedVerdict({
  profile,
  chance,
  doubt
}: Pick<Judgement, 'profile' | 'chance' | 'doubt'>): string {
  const said = chanceText(chance);
  if (chance > OPEN.to) return t.act.verdict.yes(profile.name, said);
  const kind = chance < OPEN.from ? 'no' : 'open';
  return t.act.verdict[kind](profile.name, said, t.act.doubt[doubt.of]);
}

/** A verdict of either kind. */
export const verdictLine = (said: { bore: BoreVerdict; line: number } | { bed: Judgement }): string =>
  'bed' in said ? bedVerdict(said.bed) : boreVerdict(said.bore, said.line);

/** What the sand share of a soil comes to for a bore. @param line sand, percent */
export const boreVerdict = (
  { plan, sand, chance }: Pick<BoreVerdict, 'plan' | 'sand' | 'chance'>,
  line: number
): string =>
  t.act.bore.verdict[plan](t.common.percent(Math.round(sand)), chanceText(chance), t.common.percent(line));

/** What is asked of a window: at least and at most, with its unit. */
export const windowBounds = ({ of, ...bounds }: Window): string => boundsText(bounds, t.act.units[of]);

/** Bounds with their unit: at least this, at most that. */
export function boundsText({ least, most }: Bounds, unit: string): string {
  const figure = (x: number) => `${x} ${unit}`.trim();
  return [
    ...(least === undefined ? [] : [t.act.least(figure(least))]),
    ...(most === undefined ? [] : [t.act.most(figure(most))])
  ].join(', ');
}

/** A verdict that was kept, by its shape. */
type Kept =
  | ({ ask: 'bed' } & Parameters<typeof bedVerdict>[0])
  | { ask: 'bore'; verdict: Parameters<typeof boreVerdict>[0]; line: number };

/** A verdict that was kept, in its sentence. */
export const keptLine = (kept: Kept): string =>
  kept.ask === 'bed' ? bedVerdict(kept) : boreVerdict(kept.verdict, kept.line);
