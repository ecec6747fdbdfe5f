import type { JarRun } from '../forward.ts';
import type { JarMake } from '../unknowns.ts';

/**
 * A piece of evidence that looks at a run in a way of its own: what it writes of each jar, and how likely what is known makes
 * that.
 */
export type Sight = {
  /** Its place in the evidence. */
  from: number;
  /** Names what is looked at: two of one name see the same of a jar. */
  name: string;
  /** How many figures it writes. */
  figures: number;
  look: (run: JarRun, jar: JarMake, seen: Float64Array, at: number) => void;
  /** Log likelihood of what is seen, but for a constant. */
  score: (seen: Float64Array, at: number) => number;
};
