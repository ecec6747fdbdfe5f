import { OPEN } from './open.ts';
import type { Binder, TrialKind } from './trial.ts';
import type { TrialSays } from './trial-tells.ts';

/** What is advised next of a soil for a wall, on the way from jar to mix to trial piece. */
export const WALL_ADVICE = [
  'run-jar',
  'settle',
  'blend',
  'whole-jar',
  'no-blend',
  'jar-of-mix',
  'pieces',
  'blocks',
  'wait',
  'soak',
  'more-blocks',
  'binder',
  'stronger',
  'engineer'
] as const;
export type WallAdvice = (typeof WALL_ADVICE)[number];

/** How far a soil is on that way. */
export type WallProgress = {
  /** The chance of the technique that it suits best; left out where no jar of it has told. */
  best?: number;
  /** Whether a mix was found that a technique takes, or none could be. */
  blend?: 'works' | 'cannot';
  /** Its trial pieces: what they say, where they have told, and whether more is to come. */
  /** Of one share alone no mix can be worked out. */
  oneShare?: boolean;
  sets: readonly { kind: TrialKind; binder: Binder; says?: TrialSays['kind']; open: boolean }[];
};

type Says = TrialSays['kind'];
const FAILS_WET: readonly Says[] = ['falls', 'weak-wet'];
const DRY_ONLY: readonly Says[] = ['typical', 'decent'];
const OPEN_SAYS: readonly Says[] = ['open-wet', 'open-dry'];
/** Small pieces that speak against the soil as it is. */
const AGAINST: readonly Says[] = ['cracks', 'fat', 'short', 'crumbles', 'whole'];

/** What blocks advise; undefined where none has told and none is under way. The best of them counts. */
function byBlocks(sets: WallProgress['sets']): WallAdvice | undefined {
  const blocks = sets.filter((set) => set.kind === 'block');
  const says = (kinds: readonly Says[]) => blocks.some((set) => set.says && kinds.includes(set.says));
  if (says(['stabilised'])) return 'engineer';
  if (blocks.some((set) => set.open)) return 'wait';
  if (says(OPEN_SAYS)) return 'more-blocks';
  if (says(DRY_ONLY)) return 'soak';
  if (says(FAILS_WET)) return blocks.every((set) => set.binder === 'none') ? 'binder' : 'stronger';
  return says(['weak']) ? 'stronger' : undefined;
}

/**
 * What is advised next: blocks speak first, then the mix and the small pieces, then the jar. A jar alone never says yes, and blocks
 * never say that a wall stands.
 */
export function nextForWall({ best, blend, sets, oneShare }: WallProgress): WallAdvice {
  const blocks = byBlocks(sets);
  if (blocks) return blocks;
  if (best === undefined) return 'run-jar';
  const small = sets.filter((set) => set.says && set.kind !== 'block');
  const against = small.some((set) => set.says && AGAINST.includes(set.says));
  if (best > OPEN.to && !against) return small.length > 0 ? 'blocks' : 'pieces';
  if (blend === 'works') return 'jar-of-mix';
  if (blend === 'cannot') return 'no-blend';
  if (best >= OPEN.from && !against) return 'settle';
  return oneShare ? 'whole-jar' : 'blend';
}
