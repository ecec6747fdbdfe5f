import { layeredScene, type Scene, type SceneLayer } from '../../simulate/scene.ts';
import type { Shot } from '../../simulate/camera.ts';
import type { Vessel } from '../../vessel/vessel.ts';
import { diceOf } from '../dice.ts';
import { scoreOff, type Score } from '../score.ts';

/** A picture of the bench camera, with a line that is plain, faint or not there at all. */
export type PictureTask = {
  key: 'picture';
  level: number;
  seed: number;
  vessel: Vessel;
  waterMm: number;
  layers: SceneLayer[];
  contrast: number;
  turbidity: number;
  shot: Shot;
  asked: 'sand' | 'silt';
  /** Where the line is over the inside bottom, mm; null where there is none. */
  trueMm: number | null;
  /** What may be missed, mm. */
  fair: number;
};
export type PictureGiven = { mm: number | null };

const VESSEL: Vessel = {
  kind: 'jar',
  innerHeightMm: 120,
  innerDiameterMm: 70,
  baseThicknessMm: 4,
  shoulderHeightMm: 96,
  mouthDiameterMm: 60
};
/** From the top of one layer to the middle of the next nothing tells them apart: there is no line to draw. */
const SMEARED_MM = 26;
/** From the third level on one in so many pictures has no line. */
const MISSING_SHARE = 0.35;

/** By level: plain; paler, with glare; fainter, and perhaps none; smeared; hardly to be seen. */
export function pictureTask(seed: number, level: number): PictureTask {
  const dice = diceOf(seed);
  const sand = dice.whole(16, 32);
  const silt = sand + dice.whole(11, 20);
  const clay = silt + dice.whole(6, 10);
  const asked = level >= 2 ? dice.pick(['sand', 'silt'] as const) : 'sand';
  const missing = level >= 3 && dice.chance(MISSING_SHARE);
  const smear = missing ? SMEARED_MM : level >= 4 ? dice.whole(2, 4) : 0.6;
  const layers: SceneLayer[] = [
    { kind: 'sand', topMm: sand, smearMm: asked === 'sand' ? smear : 0.8 },
    { kind: 'silt', topMm: silt, smearMm: asked === 'silt' ? smear : 0.8 },
    { kind: 'clay', topMm: clay }
  ];
  return {
    key: 'picture',
    level,
    seed,
    vessel: VESSEL,
    waterMm: 92,
    layers,
    contrast: [1, 0.8, 0.6, 0.55, 0.4][level - 1],
    turbidity: 0.1 + 0.1 * level,
    shot: {
      widthPx: 460,
      heightPx: 520,
      seed,
      ruler: true,
      label: level >= 2,
      glare: level >= 2 ? 0.6 : 0,
      shade: 0.1 * level,
      noise: 2 + level
    },
    asked,
    trueMm: missing ? null : asked === 'sand' ? sand : silt,
    fair: 1 + smear / 4
  };
}

/** What the camera of a picture task looks at. */
export const pictureScene = (task: PictureTask): Scene => layeredScene(task);

/** mm off; or whether the line is there at all. */
export function scorePicture({ trueMm, fair }: PictureTask, { mm }: PictureGiven): Score {
  if (trueMm === null || mm === null) {
    const right = trueMm === mm;
    const off = { by: right ? 0 : 1, unit: 'classes' } as const;
    return right
      ? { points: 100, off }
      : { points: 0, off, slip: mm === null ? 'line-missed' : 'no-line-there' };
  }
  return scoreOff({ by: mm - trueMm, unit: 'mm' }, fair);
}
