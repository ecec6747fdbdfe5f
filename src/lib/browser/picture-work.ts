import type { Boundary, Corners, Pixel, RulerSeen, Strip, Stretch, StripProfile } from '$lib/core';
import { pictureWorker } from './workers';

/** What a strip of a picture says. */
export type StripRead = {
  profile: StripProfile;
  lines: Boundary[];
  stretch: Stretch;
  /** Where the strip would lie on clear glass, px, where it does not. */
  clearAside?: number;
};

/** Something about a picture that cannot be; `field` says what. */
export class PictureProblem extends Error {
  readonly field: string;
  constructor(message: string, field: string) {
    super(message);
    this.name = 'PictureProblem';
    this.field = field;
  }
}

/** What the worker answers: a value, or what is wrong with the picture. */
type Answer<T> = { value: T } | { problem: string; field: string };
async function valueOf<T>(asked: Promise<Answer<T>>): Promise<T> {
  const answer = await asked;
  if ('problem' in answer) throw new PictureProblem(answer.problem, answer.field);
  return answer.value;
}

/** One picture in a worker of its own; let go of it when the page is left. */
export class PictureWork {
  readonly #worker = pictureWorker();

  open(file: Blob): Promise<{ width: number; height: number }> {
    return valueOf(this.#worker.remote.open(file));
  }
  straighten(corners: Corners | undefined): Promise<Blob> {
    return valueOf(this.#worker.remote.straighten(corners));
  }
  read(strip: Strip): Promise<StripRead> {
    return valueOf(this.#worker.remote.read(strip) as Promise<Answer<StripRead>>);
  }
  /** The ruler beside the glass, where one is seen between two known heights. */
  ruler(scale: Pick<Strip, 'low' | 'high'>): Promise<RulerSeen | undefined> {
    return valueOf(this.#worker.remote.ruler(scale) as Promise<Answer<RulerSeen | undefined>>);
  }
  /** Corners on the walls of the jar, where they are seen beside two places in its middle. */
  corners(low: Pixel, high: Pixel): Promise<Corners | undefined> {
    return valueOf(this.#worker.remote.corners(low, high) as Promise<Answer<Corners | undefined>>);
  }
  profile(strip: Strip): Promise<StripProfile> {
    return valueOf(this.#worker.remote.profile(strip) as Promise<Answer<StripProfile>>);
  }
  close(): void {
    this.#worker.end();
  }
}
