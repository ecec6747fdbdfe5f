import { clearedSoon } from './cleared-soon.ts';
import { cloudyLong } from './cloudy-long.ts';
import { crumbs } from './crumbs.ts';
import { darkSkin } from './dark-skin.ts';
import { rattle } from './rattle.ts';
import { foam } from './foam.ts';
import { knocked } from './knocked.ts';
import { marksFall } from './marks-fall.ts';
import { noDispersant } from './no-dispersant.ts';
import { overShoulder } from './over-shoulder.ts';
import { readEarly } from './read-early.ts';
import { stones } from './stones.ts';
import { tooFull } from './too-full.ts';
import { tooThin } from './too-thin.ts';
import { twoLayers } from './two-layers.ts';
import type { LayerFacts, Trouble, TroubleFacts, TroubleRule } from './types.ts';

/** Every rule, what spoils a jar most first. */
export const TROUBLE_RULES: readonly TroubleRule[] = [
  knocked,
  tooFull,
  stones,
  clearedSoon,
  cloudyLong,
  readEarly,
  noDispersant,
  crumbs,
  marksFall,
  overShoulder,
  darkSkin,
  rattle,
  tooThin,
  // A bottle is read for its sand alone.
  (facts) => (facts.method.kind === 'bottle' ? undefined : twoLayers(facts)),
  foam
];

/** The troubles a jar is likely in, by what is known of it. A healthy one is in none. */
export function findTroubles(facts: TroubleFacts): Trouble[] {
  return TROUBLE_RULES.map((rule) => rule(facts)).filter((trouble) => trouble !== undefined);
}

/** Whether crumbs fell apart between two shakes: some may be left. */
export const hadCrumbs = (facts: Pick<TroubleFacts, 'marks' | 'earlier'>): boolean =>
  crumbs(facts) !== undefined;

/** By name, the troubles that the lines of a reading themselves show. */
export function layerTroubles(facts: LayerFacts): ('stones' | 'dark-skin' | 'two-layers')[] {
  const rules = { stones, 'dark-skin': darkSkin, 'two-layers': twoLayers };
  return (['stones', 'dark-skin', 'two-layers'] as const).filter((id) => rules[id](facts) !== undefined);
}
