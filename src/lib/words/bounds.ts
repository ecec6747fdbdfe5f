import type { Bounds } from '../core/index.ts';
import { t } from './index.ts';

/** Bounds with their unit: at least this, at most that. */
export function boundsText({ least, most }: Bounds, unit: string): string {
  const figure = (x: number) => `${x} ${unit}`.trim();
  return [
    ...(least === undefined ? [] : [t.act.least(figure(least))]),
    ...(most === undefined ? [] : [t.act.most(figure(most))])
  ].join(', ');
}
