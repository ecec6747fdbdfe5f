/** An input outside what a function can answer. `field` names the offending input, the message says what to do. */
export class RangeProblem extends RangeError {
  readonly field: string;

  constructor(field: string, message: string) {
    super(message);
    this.name = 'RangeProblem';
    this.field = field;
  }
}

/** Throws {@link RangeProblem} unless `value` is a finite number above zero. */
export function requirePositive(field: string, value: number): void {
  if (!(value > 0) || !Number.isFinite(value)) {
    throw new RangeProblem(field, `${field} must be a number above zero, not ${value}.`);
  }
}

/**
 * Works something out that may not be possible: the answer, or what is wrong and with which input.
 *
 * @example outcomeOf(() => classifyTexture('usda', fractions)).problem?.field
 */
export function outcomeOf<T>(work: () => T): { done?: T; problem?: RangeProblem } {
  try {
    return { done: work() };
  } catch (problem) {
    if (problem instanceof RangeProblem) return { problem };
    throw problem;
  }
}
