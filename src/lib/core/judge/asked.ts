import { judgeBore } from './bore.ts';
import type { Figures } from './figures.ts';
import type { GroundDrainage } from './holes-together.ts';
import { judgeProfile, type JudgeProfile } from './profile.ts';
import { soilDraws } from './soil-draws.ts';
import { judgeTechnique, type Technique, type WallSoil } from './technique.ts';

/** What is asked of a soil, and what is known beside it. */
export type Asked =
  | {
      ask: 'bed';
      profile: JudgeProfile;
      organic: { pct: number; sd: number };
      /** How the ground drains by its holes; null where none was dug. */
      ground: GroundDrainage | null;
    }
  | { ask: 'bore'; figures: Pick<Figures, 'boreLinePct' | 'boreNearPoints'> }
  | {
      ask: 'wall';
      technique: Technique;
      /** What is known beside the shares. */
      facts: Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>;
    };

/** Whether each of soils does what is asked: 1 where it does. @throws {RangeProblem} as {@link judgeProfile} */
export function holdsFor(shares: Float64Array, asked: Asked): Uint8Array {
  if (asked.ask === 'bore') return judgeBore({ shares }, asked.figures).holds;
  if (asked.ask === 'wall') {
    const { technique, facts } = asked;
    return judgeTechnique(technique, { ...facts, [technique.on]: shares })?.holds ?? new Uint8Array();
  }
  return judgeProfile(asked.profile, soilDraws(shares, asked.organic, asked.ground)).holds;
}
