import {
  BED_PROFILES,
  FIGURE_SETS,
  figureSetProblems,
  profileProblems,
  type FigureSet,
  type JudgeProfile,
  type RangeProblem
} from '../core/index.ts';

/** What is judged and counted by, by kind: what is asked of beds, and the figures. */
export type ProfileOf = { bed: JudgeProfile; figures: FigureSet };
export type ProfileKind = keyof ProfileOf;

/** One that is on offer: its version in force, whether it is one's own, and whether it is no more as it ships. */
export type Offered<K extends ProfileKind> = { profile: ProfileOf[K]; own: boolean; changed: boolean };

/** What ships of each kind, and what is wrong with one that somebody wrote. */
export const PROFILES: {
  [K in ProfileKind]: {
    ships: readonly ProfileOf[K][];
    problems: (profile: ProfileOf[K]) => RangeProblem[];
  };
} = {
  bed: { ships: BED_PROFILES, problems: profileProblems },
  figures: { ships: FIGURE_SETS, problems: figureSetProblems }
};
