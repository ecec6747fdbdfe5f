import { columnFacts } from '../method/fill.ts';
import type { RunMethod } from '../method/types.ts';
import { CLAY_LIMIT_UM } from '../physics/bands.ts';
import { jarColumn } from './predict.ts';

/**
 * A method of a jar as it is in this jar: its layers are read no sooner than silt is down, however the method says it of jars in
 * general. Instruments, bottles and school cylinders keep their own times, which are part of what they are.
 *
 * @param jar heights over the inside bottom, mm; degC
 * @throws {RangeProblem} for a fill or a warmth that cannot be
 */
export function readWhenDown<M extends Pick<RunMethod, 'kind' | 'end'>>(
  method: M,
  jar: { waterMm: number; soilMm: number; tempC: number }
): M {
  if (method.kind !== 'jar') return method;
  const siltDoneS = Math.ceil(jarColumn(columnFacts(jar)).timeOfCut(CLAY_LIMIT_UM));
  if (!(siltDoneS > method.end.fromS)) return method;
  // There is as long for it as the method gives.
  const { fromS, toS } = method.end;
  return { ...method, end: { ...method.end, fromS: siltDoneS, toS: siltDoneS + (toS - fromS) } };
}
