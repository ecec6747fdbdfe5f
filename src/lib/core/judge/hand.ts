import type { BedFigures } from './behaviour.ts';

/** What a hand, an eye and a spade say of a bed. */
export const HAND_SAYS = ['light', 'heavy', 'sticky', 'cracks', 'ponds', 'dries', 'dusty', 'caps'] as const;
export type HandSays = (typeof HAND_SAYS)[number];

/** The likely reason where hand and jar part. */
export type HandReason =
  | 'silt-feels-like-clay'
  | 'compaction'
  | 'crumbs'
  | 'swelling-clay'
  | 'pan'
  | 'shallow'
  | 'fine-sand'
  | 'beaten';

/** By what each is at odds with the figures of a bed, and why that likely is; bounds as those of its lines, set by hand. */
const AGAINST: Record<HandSays, { parts: (f: BedFigures, silt: number) => boolean; reason: HandReason }> = {
  light: { parts: (f) => f.digs >= 35, reason: 'crumbs' },
  heavy: { parts: (f) => f.digs < 20, reason: 'compaction' },
  sticky: { parts: (f, silt) => f.digs < 20 && silt >= 30, reason: 'silt-feels-like-clay' },
  cracks: { parts: (f) => f.digs < 25, reason: 'swelling-clay' },
  ponds: { parts: (f) => f.drains >= 10, reason: 'pan' },
  dries: { parts: (f) => f.stores >= 14, reason: 'shallow' },
  dusty: { parts: (f) => f.digs >= 30, reason: 'fine-sand' },
  caps: { parts: (f) => f.caps < 1.2, reason: 'beaten' }
};

/**
 * Where what the hand says and what the figures say part, with the likely reason: the hand is never overruled.
 *
 * @param silt percent
 */
export function handAgainst(
  says: readonly HandSays[],
  figures: BedFigures,
  silt: number
): { says: HandSays; reason: HandReason }[] {
  return says.flatMap((one) => {
    // A word of another version says nothing here.
    if (!Object.hasOwn(AGAINST, one)) return [];
    const { parts, reason } = AGAINST[one];
    return parts(figures, silt) ? [{ says: one, reason }] : [];
  });
}
