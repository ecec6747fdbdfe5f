import { OPEN, type BoreVerdict, type Judgement } from '../core/index.ts';
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
export const boreVerdict = ({ plan, sand, chance }: BoreVerdict, line: number): string =>
  t.act.bore.verdict[plan](t.common.percent(Math.round(sand)), chanceText(chance), t.common.percent(line));
