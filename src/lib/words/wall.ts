import { OPEN, signSays, type TechniqueSaid, type WallSign, type WallWindow } from '../core/index.ts';
import { chanceText } from './headline.ts';
import { t } from './index.ts';
import { boundsText } from './verdict.ts';

/** English. What is asked of a window, with its unit. */
export const wallBounds = ({ of, ...bounds }: Pick<WallWindow, 'of' | 'least' | 'most'>): string =>
  `${t.wall.of[of].name} ${boundsText(bounds, t.wall.of[of].unit)}`;

/** What a soil comes to for walls, in one sentence: for the technique that it suits best, of those that no sign refuses. */
export function wallVerdict(said: readonly TechniqueSaid[], signs: readonly WallSign[]): string {
  const open = said.filter((s) => signs.every((sign) => signSays(sign, s.technique) !== 'refused'));
  if (open.length === 0) {
    const why = signs.find((sign) => signSays(sign, said[0].technique) === 'refused');
    return t.wall.none(why ? t.wall.refused[why] : '');
  }
  const whole = open.filter((s) => !s.partly);
  if (whole.length === 0) return t.wall.partly;
  const { technique, chance, doubt, windows, unknown } = whole.reduce((a, b) =>
    b.chance > a.chance ? b : a
  );
  const known = windows.length - unknown.length;
  const n = t.wall.windows(t.wall.counts[known] ?? String(known), unknown.length === 0);
  const text = chanceText(chance);
  const what = doubt ? t.wall.doubt[doubt.of] : '';
  if (chance > OPEN.to) return t.wall.meets(n, technique.name, text);
  if (chance >= OPEN.from) return t.wall.open(n, technique.name, text, what);
  return t.wall.misses(technique.name, text, what);
}
