import {
  BED_PROFILES,
  FIGURE_SETS,
  figureSetProblems,
  profileProblems,
  techniqueProblems,
  TECHNIQUES,
  type FigureSet,
  type JudgeProfile,
  type RangeProblem,
  type Technique
} from '../core/index.ts';

/** What is judged and counted by, by kind: what is asked of beds and by techniques of building, and the figures. */
export type ProfileOf = { bed: JudgeProfile; technique: Technique; figures: FigureSet };
export type ProfileKind = keyof ProfileOf;

/** One that is on offer: its version in force, whether it is one's own, and whether it is no more as it ships. */
export type Offered<K extends ProfileKind> = { profile: ProfileOf[K]; own: boolean; changed: boolean };

/** What ships of each kind, and what is wrong with one that somebody wrote. */
export const PROFILES: {
  [K in ProfileKind]: {
    ships: readonly ProfileOf[K][];
    problems: (profile: ProfileOf[K]) => RangeProblem[];
    /** Whether what a row holds is one of this kind. */
    is: (held: ProfileOf[ProfileKind]) => boolean;
  };
} = {
  bed: { ships: BED_PROFILES, problems: profileProblems, is: (held) => 'windows' in held && !('on' in held) },
  technique: {
    ships: TECHNIQUES,
    problems: techniqueProblems,
    is: (held) => 'windows' in held && 'on' in held
  },
  figures: { ships: FIGURE_SETS, problems: figureSetProblems, is: (held) => 'figures' in held }
};
