import { fittedTop, type SettledAnswer, type TopReading } from '$lib/core';
import { scaleLinear } from 'd3-scale';

/** Readings of a top as they are drawn, px, and the curve through them where the answer trusts one. */
export type TopCurve = { points: { x: number; y: number }[]; path: string };

const EDGE = 6;
const STEPS = 40;

/**
 * The curve of a top over time, on a drawing of a size, px; undefined for fewer than two readings.
 *
 * @param tops readings, oldest first
 */
export function topCurve(
  tops: readonly TopReading[],
  top: SettledAnswer['top'] | undefined,
  size: { width: number; height: number }
): TopCurve | undefined {
  const newest = tops.at(-1);
  if (!newest || tops.length < 2) return undefined;
  // A curve that the answer does not trust is not drawn.
  const fit = top && 'fit' in top ? top.fit : undefined;
  const last = Math.max(newest.timeS, top?.kind === 'moving' ? top.stillAtS : 0);
  const heights = [...tops.map((r) => r.heightMm), ...(fit ? [fit.endMm] : [])];
  const x = scaleLinear([0, last], [EDGE, size.width - EDGE]);
  const y = scaleLinear([Math.min(...heights) - 1, Math.max(...heights) + 1], [size.height - EDGE, EDGE]);
  const points = tops.map((r) => ({ x: x(r.timeS), y: y(r.heightMm) }));
  if (!fit) return { points, path: '' };
  const from = tops[0].timeS;
  const line = Array.from({ length: STEPS + 1 }, (_, i) => {
    const timeS = from + ((last - from) * i) / STEPS;
    return `${x(timeS).toFixed(1)} ${y(fittedTop(fit, timeS)).toFixed(1)}`;
  });
  return { points, path: `M${line.join('L')}` };
}
