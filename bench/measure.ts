/** Median of the times that a piece of work takes, ms, after a warm-up. */
export function medianMs(work: () => void, rounds = 9): number {
  for (let i = 0; i < 3; i++) work();
  const times: number[] = [];
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return median(times);
}

export function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}

/** One line of the report. */
export function report(what: string, figure: string, reference: string): void {
  console.log(`${what.padEnd(34)} ${figure.padEnd(34)} ${reference}`);
}
