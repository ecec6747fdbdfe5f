import {
  EVEN,
  OPEN,
  type MissingKind,
  openTo,
  signSays,
  suitsBest,
  type TechniqueKept,
  type WallOf,
  type WallSign,
  type WallSoil,
  type WallWindow
} from '../core/index.ts';
import { chanceText } from './headline.ts';
import { t } from './index.ts';
import { boundsText } from './bounds.ts';

/** English. What is asked of a window, with its unit. */
export const wallBounds = ({ of, ...bounds }: Pick<WallWindow, 'of' | 'least' | 'most'>): string =>
  `${t.wall.of[of].name} ${boundsText(bounds, t.wall.of[of].unit)}`;

/** What a soil comes to for walls, in one sentence: for the technique that it suits best, of those that no sign refuses. */
export function wallVerdict(said: readonly TechniqueKept[], signs: readonly WallSign[]): string {
  const open = openTo(said, signs);
  if (open.length === 0) {
    const why = signs.find((sign) => signSays(sign, said[0].technique) === 'refused');
    return t.wall.none(why ? t.wall.refused[why] : '');
  }
  const whole = open.filter((s) => !s.partly);
  if (whole.length === 0) return t.wall.partly;
  const { technique, chance, doubt, windows, unknown } = suitsBest(whole);
  const known = windows.length - unknown.length;
  const n = t.wall.windows(t.wall.counts[known] ?? String(known), unknown.length === 0);
  const text = chanceText(chance);
  const what = doubt ? t.wall.doubt[doubt.of] : '';
  if (chance > OPEN.to) return t.wall.meets(n, technique.name, text);
  if (chance >= EVEN) return t.wall.open(n, technique.name, text, what);
  const against = chanceText(1 - chance);
  if (chance >= OPEN.from) return t.wall.unlikely(n, technique.name, against, what);
  return t.wall.misses(technique.name, against, what);
}

/** What a mix comes to: it meets the windows only where that is as good as sure. @param parts its buckets */
export function mixText(
  parts: string,
  { technique, unknown, chance }: Pick<TechniqueKept, 'technique' | 'unknown' | 'chance'>
): string {
  const which = t.wall.blend.windows(unknown.length === 0);
  const say = chance > OPEN.to ? t.wall.blend.answer : t.wall.blend.hand;
  return say(parts, which, technique.name, chanceText(chance));
}

/** A mix that was kept, in one sentence. */
export function blendKept({
  parts,
  said
}: {
  parts: readonly { name: string; buckets: number }[];
  said: TechniqueKept;
}): string {
  return mixText(parts.map(({ buckets, name }) => t.wall.blend.buckets(buckets, name)).join(', '), said);
}

/** What no jar says, as it was taken when a verdict was kept. */
export const wallFacts = (
  { gravelPct, stoneMm, organicPct }: Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>,
  signs: readonly WallSign[]
): string =>
  [
    t.wall.taken.gravel(gravelPct.toFixed(0)),
    ...(stoneMm === undefined ? [] : [t.wall.taken.stone(stoneMm.toFixed(0))]),
    ...(organicPct === undefined ? [] : [t.wall.taken.organic(organicPct.toFixed(1))]),
    ...signs.map((sign) => `${t.wall.signs[sign]}.`)
  ].join(' ');

/** That none of the materials at hand would do, why, and what is missing. */
export function noBlendKept({
  materials,
  technique,
  blocks,
  missing
}: {
  materials: readonly string[];
  technique: string;
  blocks: readonly WallOf[];
  missing?: { kind: MissingKind; sharePct: number };
}): string {
  const none = t.wall.blend.noneOf(
    materials.join(', '),
    technique,
    blocks.map((of) => t.wall.doubt[of]).join(', ')
  );
  if (!missing) return none;
  const share = t.common.percent(Math.ceil(missing.sharePct));
  return `${none} ${t.wall.blend.missing(t.wall.blend.kinds[missing.kind], share)}`;
}
