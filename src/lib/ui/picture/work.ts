import { wrap, type Remote } from 'comlink';
import type { Boundary, Corners, Strip, Stretch, StripProfile } from '$lib/core';
import type { PhotoEndpoint } from '$lib/workers/photo.worker';

/** What a strip of a picture says. */
export type StripRead = { profile: StripProfile; lines: Boundary[]; stretch: Stretch };

/** Something about a picture that cannot be; `field` says what. */
export class PictureProblem extends Error {
  readonly field: string;
  constructor(message: string, field: string) {
    super(message);
    this.name = 'PictureProblem';
    this.field = field;
  }
}

type Told<T> = { value: T } | { problem: string; field: string };
async function heard<T>(told: Promise<Told<T>>): Promise<T> {
  const answer = await told;
  if ('problem' in answer) throw new PictureProblem(answer.problem, answer.field);
  return answer.value;
}

/** One picture in a worker of its own; let go of it when the page is left. */
export class PictureWork {
  #worker: Worker;
  #remote: Remote<PhotoEndpoint>;

  constructor() {
    this.#worker = new Worker(new URL('../../workers/photo.worker.ts', import.meta.url), { type: 'module' });
    this.#remote = wrap<PhotoEndpoint>(this.#worker);
  }
  open(file: Blob): Promise<{ width: number; height: number }> {
    return heard(this.#remote.open(file));
  }
  straighten(corners: Corners | undefined): Promise<Blob> {
    return heard(this.#remote.straighten(corners));
  }
  read(strip: Strip): Promise<StripRead> {
    return heard(this.#remote.read(strip) as Promise<Told<StripRead>>);
  }
  profile(strip: Strip): Promise<StripProfile> {
    return heard(this.#remote.profile(strip) as Promise<Told<StripProfile>>);
  }
  close(): void {
    this.#worker.terminate();
  }
}
