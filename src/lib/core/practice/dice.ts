import { evenStream } from '../certainty/draws.ts';

/** Seeded choices: the same seed makes the same task for everybody. */
export type Dice = {
  /** A whole number from `least` to `most`, both included. */
  whole(least: number, most: number): number;
  pick<T>(from: readonly T[]): T;
  shuffled<T>(list: readonly T[]): T[];
  chance(share: number): boolean;
};

export function diceOf(seed: number): Dice {
  const even = evenStream(seed);
  const whole = (least: number, most: number) => least + Math.floor(even() * (most - least + 1));
  return {
    whole,
    pick: (from) => from[whole(0, from.length - 1)],
    shuffled(list) {
      const out = [...list];
      for (let i = out.length - 1; i > 0; i--) {
        const j = whole(0, i);
        [out[i], out[j]] = [out[j], out[i]];
      }
      return out;
    },
    chance: (share) => even() < share
  };
}
