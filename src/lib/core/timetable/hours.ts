import type { ShutHours } from './types.ts';

/** A stretch of time, ms UTC, from inclusive, to exclusive. */
export type Stretch = { from: number; to: number };

/** Stretches in order, none touching another. */
export function merged(stretches: readonly Stretch[]): Stretch[] {
  const out: Stretch[] = [];
  for (const s of [...stretches].filter((x) => x.to > x.from).sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && s.from <= last.to) last.to = Math.max(last.to, s.to);
    else out.push({ ...s });
  }
  return out;
}

/** Index of the first stretch that ends after a time. */
function firstEndingAfter(stretches: readonly Stretch[], time: number): number {
  let low = 0;
  let high = stretches.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (stretches[mid].to > time) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** Earliest start at or after `from` at which `length` ms are clear of the taken stretches. */
export function nextClear(taken: readonly Stretch[], from: number, length: number): number {
  let start = from;
  for (let i = firstEndingAfter(taken, from); i < taken.length && taken[i].from < start + length; i++) {
    start = taken[i].to;
  }
  return start;
}

/** Latest start at or before `to`, not before `from`, at which `length` ms are clear; undefined if there is none. */
export function lastClear(
  taken: readonly Stretch[],
  from: number,
  to: number,
  length: number
): number | undefined {
  let start = to;
  for (let i = Math.min(firstEndingAfter(taken, to + length - 1), taken.length - 1); i >= 0; i--) {
    const t = taken[i];
    if (t.from >= start + length) continue;
    if (t.to <= start) break;
    start = t.from - length;
  }
  return start >= from ? start : undefined;
}

/** Puts one more stretch into an ordered list without rebuilding it; it must be clear of the others. */
export function insertStretch(taken: Stretch[], stretch: Stretch): void {
  taken.splice(firstEndingAfter(taken, stretch.from), 0, stretch);
}

/** Shut hours as stretches, whatever the reason. */
export function shutStretches(shut: readonly ShutHours[]): Stretch[] {
  return merged(shut.map(({ fromAt, toAt }) => ({ from: fromAt, to: toAt })));
}

/** When `length` ms of open time have gone by since `from`. */
export function afterOpenTime(shut: readonly Stretch[], from: number, length: number): number {
  let time = nextClear(shut, from, 1);
  let left = length;
  for (let i = firstEndingAfter(shut, time); left > 0; i++) {
    const next = shut[i];
    if (!next || next.from - time >= left) return time + left;
    left -= next.from - time;
    time = next.to;
  }
  return time;
}
