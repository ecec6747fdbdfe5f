import type { EarthPlace, History, Point } from '../../core/index.ts';
import type { Purpose, TypedLength } from './sample.ts';

/** A picture under a sketch: its lower left corner is the sketch's. */
export type Backdrop = { fileId: string; widthPx: number; heightPx: number; metresPerPx: number };

/** What a site is drawn on. Places are metres from its lower left corner. */
export type Sketch = {
  backdrop: Backdrop | null;
  /** False from the moment a picture is put down until two of its points have been given a distance. */
  scaled: boolean;
  earth: EarthPlace | null;
};

/** A spot where soil is or was taken. */
export type SpotRecord = {
  id: string;
  areaId: string;
  /** Place in the walk, from 1. */
  no: number;
  x: number;
  y: number;
  takenAt: number | null;
  depthFrom: TypedLength | null;
  depthTo: TypedLength | null;
  note: string;
};

/** A piece of ground that is asked about by itself. */
export type AreaRecord = {
  id: string;
  siteId: string;
  /** Letters that its samples' codes begin with. */
  code: string;
  name: string;
  purpose: Purpose;
  history: History[];
  note: string;
  outline: Point[];
  createdAt: number;
};

export type SiteRecord = { id: string; name: string; sketch: Sketch; createdAt: number };

export const PHOTO_SUBJECTS = ['sample', 'spot', 'test', 'piece'] as const;
export type PhotoSubject = (typeof PHOTO_SUBJECTS)[number];

/** A picture of a sample, a spot, a jar or a trial piece. */
export type PhotoRecord = {
  id: string;
  fileId: string;
  subject: PhotoSubject;
  subjectId: string;
  caption: string;
  createdAt: number;
  width: number;
  height: number;
  /** When the camera says it was taken, `YYYY-MM-DDTHH:MM` by its own clock. */
  takenText: string | null;
};

/** Everything about a site: its areas, their spots, and the samples of each. */
export type SiteDetail = SiteRecord & {
  areas: (AreaRecord & { spots: SpotRecord[]; samples: { id: string; code: string; name: string }[] })[];
};
