import {
  EVEN,
  OPEN,
  oneShare,
  type BoreVerdict,
  type Fractions,
  type Judgement,
  type TechniqueKept,
  type WallSign,
  type Window
} from '../core/index.ts';
import { boundsText } from './bounds.ts';
import { chanceText, wholeShares } from './headline.ts';
import { t } from './index.ts';
import { wallVerdict } from './wall.ts';

/** English. What a soil comes to for a bed, in one sentence with its chance. */
export function bedVerdict({
  profile,
  chance,
  doubt
}: Pick<Judgement, 'profile' | 'chance' | 'doubt'>): string {
  if (chance > OPEN.to) return t.act.verdict.yes(profile.name, chanceText(chance));
  const what = t.act.doubt[doubt.of];
  if (chance >= EVEN) return t.act.verdict.open(profile.name, chanceText(chance), what);
  // Under a half it is told from its other side.
  const kind = chance < OPEN.from ? 'no' : 'unlikely';
  return t.act.verdict[kind](profile.name, chanceText(1 - chance), what);
}

/** A verdict of any kind. */
export function verdictLine(
  said:
    | { bore: BoreVerdict; line: number; soil: Fractions }
    | { bed: Judgement }
    | { wall: readonly TechniqueKept[] }
): string {
  if ('wall' in said) return wallVerdict(said.wall, []);
  return 'bed' in said ? bedVerdict(said.bed) : boreVerdict(said.bore, said.line, said.soil);
}

/**
 * What the sand share of a soil comes to for a bore.
 *
 * @param line sand, percent
 * @param soil the shares that stand beside it: its sand is the figure among them
 */
export const boreVerdict = (
  { plan, chance }: Pick<BoreVerdict, 'plan' | 'chance'>,
  line: number,
  soil: Fractions
): string =>
  t.act.bore.verdict[plan](
    t.common.percent(wholeShares(soil).sand),
    chanceText(chance),
    t.common.percent(line)
  );

/** What is asked of a window: at least and at most, with its unit. */
export const windowBounds = ({ of, ...bounds }: Window): string => boundsText(bounds, t.act.units[of]);

/** A verdict that was kept, by its shape. */
type Kept =
  | ({ ask: 'bed' } & Parameters<typeof bedVerdict>[0])
  | { ask: 'wall'; said: readonly TechniqueKept[]; signs: readonly WallSign[] }
  | {
      ask: 'bore';
      verdict: Parameters<typeof boreVerdict>[0];
      line: number;
      soil: Fractions;
      onlySand?: true;
    };

/** A verdict that was kept, in its sentence. */
export function keptLine(kept: Kept): string {
  if (kept.ask === 'wall') return wallVerdict(kept.said, kept.signs);
  if (kept.ask === 'bed') return bedVerdict(kept);
  const { soil, onlySand } = kept;
  // Kept verdicts of before hold the rest of such a soil in halves.
  return boreVerdict(kept.verdict, kept.line, onlySand ? oneShare('sand', soil.sand) : soil);
}
