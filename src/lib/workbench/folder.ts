import {
  judgeTechnique,
  signsOf,
  nextForWall,
  suitsBest,
  openTo,
  type Figures,
  type Technique,
  type TechniqueKept,
  type WallSoil,
  type WallAdvice,
  type WallProgress,
  type WallSign
} from '../core/index.ts';
import type { JudgementRecord } from '../contract/records/judgement.ts';
import type { Snapshot } from '../contract/records/result.ts';
import type { SampleRecord } from '../contract/records/sample.ts';
import type { TrialRecord } from '../contract/records/trial.ts';
import { besideMix, type Promised } from './promise.ts';
import { viewTrial, type TrialView } from './trials.ts';
import { judgedBy, type JudgedBy, type KnownSoil } from './judged-by.ts';

type KeptWall = Extract<JudgementRecord['kept'], { ask: 'wall' }>;

/** What is on record of a soil of a folder. */
export type FolderSoil = {
  sample: SampleRecord;
  /** What its sender calls it. */
  theirs: string;
  /** Everything that says what soil it is. */
  known: KnownSoil;
  /** The test that the kept verdict is of, else its newest finished one. */
  test: { id: string; code: string; snapshot: Snapshot } | null;
  /** The newest verdict on a wall that was kept of it. */
  kept: { id: string; kept: KeptWall; createdAt: number } | null;
  trials: TrialRecord[];
};

/** A soil of a folder, judged: as it stands now, by what was kept of it, by its pieces, and what is advised next. */
export type JudgedSoil = {
  /** What it is judged by; undefined where nothing of it is finished. */
  by: JudgedBy | undefined;
  said: TechniqueKept[];
  signs: readonly WallSign[];
  views: TrialView[];
  promised?: Promised;
  next: WallAdvice;
};

const blendIn = (kept: KeptWall | undefined): WallProgress['blend'] =>
  kept?.blend ? 'works' : kept?.noBlend ? 'cannot' : undefined;

/** What is advised next of a soil: by the techniques that nothing seen refuses, the mix that was found, and its pieces. */
export function adviceFor(
  said: readonly TechniqueKept[],
  signs: readonly WallSign[],
  kept: KeptWall | undefined,
  views: readonly TrialView[],
  soil?: Pick<WallSoil, 'only'>
): WallAdvice {
  const open = openTo(said, signs).filter((one) => !one.partly);
  return nextForWall({
    // A soil that something seen refuses is as one that meets nothing.
    ...(said.length > 0 ? { best: open.length > 0 ? suitsBest(open).chance : 0 } : {}),
    blend: blendIn(kept),
    oneShare: soil?.only !== undefined,
    sets: views.map(({ trial, tells, step }) => ({
      kind: trial.kind,
      binder: trial.binder,
      ...(tells.says ? { says: tells.says.kind } : {}),
      open: step !== undefined && step.kind !== 'finish'
    }))
  });
}

/** Judges a soil of a folder by what techniques ask now. What was seen, and what no jar says, is as it was kept last. */
export function judgeFolderSoil(
  { sample, known, test, kept, trials }: FolderSoil,
  o: { techniques: readonly Technique[]; figures: Figures; now: number }
): JudgedSoil {
  const judged = judgedBy(known, test?.id);
  const wall = judged?.wall;
  const soil = wall && { ...wall, ...kept?.kept.facts };
  const said = soil ? o.techniques.flatMap((technique) => judgeTechnique(technique, soil) ?? []) : [];
  const signs = signsOf(soil ?? {}, kept?.kept.signs ?? []);
  const views = trials.map((one) => viewTrial(one, o.figures, o.now));
  const promised = test && besideMix(test.snapshot, sample.details);
  return {
    by: judged,
    said,
    signs,
    views,
    ...(promised ? { promised } : {}),
    next: adviceFor(said, signs, kept?.kept, views, soil)
  };
}
