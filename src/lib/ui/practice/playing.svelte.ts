import { columnOfTime, timeOfColumn, TRACK_END_S } from '$lib/core';

/** How many seconds of a jar go by in one of ours. */
export const SPEEDS = ['1', '10', '100', '1000', '10000'] as const;
export type Speed = (typeof SPEEDS)[number];
/** Where motion is unwelcome the jar moves on so seldom, ms. */
const CALM_MS = 1000;

/** The clock of a jar that is played: it runs, holds and is wound. Call it while the component is set up. */
export class Playing {
  timeS = $state(0);
  running = $state(false);
  speed = $state<Speed>('10');
  /** Where it holds by itself, s. */
  holdsAtS = $state<number>();
  #frame = 0;
  #last = 0;

  constructor() {
    $effect(() => {
      if (!this.running) return;
      this.#last = performance.now();
      const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;
      const beat = (now: number) => {
        if (!calm || now - this.#last >= CALM_MS) {
          this.#go((now - this.#last) / 1000);
          this.#last = now;
        }
        if (this.running) this.#frame = requestAnimationFrame(beat);
      };
      this.#frame = requestAnimationFrame(beat);
      return () => cancelAnimationFrame(this.#frame);
    });
  }

  #go(seconds: number): void {
    const before = this.timeS;
    const next = before + Math.max(0, seconds) * Number(this.speed);
    const stop = this.holdsAtS !== undefined && before < this.holdsAtS ? this.holdsAtS : TRACK_END_S;
    this.timeS = Math.min(stop, next);
    if (this.timeS >= stop) this.running = false;
  }

  toggle(): void {
    if (!this.running && this.timeS >= TRACK_END_S) this.timeS = 0;
    this.running = !this.running;
  }

  /** Where it stands, 0 to 1, evenly in the logarithm of time. */
  get place(): number {
    return columnOfTime(this.timeS);
  }

  /** Winds it there. */
  windTo(place: number): void {
    this.timeS = place <= 0 ? 0 : timeOfColumn(place);
  }
}
