import type {
  BoreVerdict,
  Figures,
  FigureSet,
  Fractions,
  GroundDrainage,
  JudgeProfile,
  Material,
  MissingKind,
  TechniqueKept,
  WallOf,
  WallSign,
  WallSoil,
  Window
} from '../../core/index.ts';

/** A verdict as it was kept: with the version of the profile it was made by, and what was known of the soil. */
export type KeptVerdict = {
  soil: Fractions;
  basis: 'laboratory' | 'estimate' | 'weighed' | 'read' | 'typed' | 'bottle';
  /** What it was known from: a laboratory, or the code of a test; verdicts of before it was kept have none. */
  source?: string;
  /** The figures it was counted with, and their version; verdicts of before there were any have none. */
  by?: Pick<FigureSet, 'id' | 'version' | 'name'> & { figures: Figures };
  /** Length of its ribbon, mm, where one was pressed. */
  ribbonMm?: number;
  /** Only its sand was known, or only its clay: the others mean nothing then. */
  onlySand?: true;
  onlyClay?: true;
  /** No line was seen: its clay is over this, percent, and no figure. */
  clayOver?: number;
} & (
  | {
      ask: 'bed';
      organic: { pct: number; sd: number };
      /** How the ground drains by its holes; null where none was dug. */
      ground: GroundDrainage | null;
      profile: JudgeProfile;
      chance: number;
      windows: { window: Window; chance: number }[];
      doubt: Window;
    }
  | { ask: 'bore'; line: number; verdict: Omit<BoreVerdict, 'holds'> }
  | {
      ask: 'wall';
      facts: Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>;
      signs: WallSign[];
      /** Every technique as it was asked then. */
      said: TechniqueKept[];
      /** The mix that stood there, where one did. */
      blend?: { parts: (Material & { buckets: number })[]; shares: Fractions; said: TechniqueKept };
      /** Where none of the materials at hand meets the windows: what stands in the way, and the kind that is missing. */
      noBlend?: {
        materials: string[];
        technique: string;
        blocks: WallOf[];
        missing?: { kind: MissingKind; sharePct: number };
      };
    }
);

/** A judgement on record. */
export type JudgementRecord = {
  id: string;
  /** The test that it is of; null for percentages from elsewhere. */
  testId: string | null;
  code: string | null;
  sampleName: string | null;
  areaId: string | null;
  /** What stood in its address: it can be judged anew from there. */
  query: string;
  kept: KeptVerdict;
  createdAt: number;
};
