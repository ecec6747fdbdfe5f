import { formatDuration, type Evidence, type Fit } from '$lib/core';
import { t } from '$lib/words';

/** A piece of evidence in a few words. */
export function evidenceName(e: Evidence): string {
  const names = t.answer.evidence;
  if (e.kind === 'mark') return names.mark(formatDuration(e.timeS));
  if (e.kind === 'water') return names.water(t.mass.waters[e.seen]);
  if (e.kind === 'dispersant') return names.dispersant(e.used);
  if (e.kind === 'calibration') return names.calibration(e.pairs);
  if (e.kind === 'trouble') return names.trouble[e.id](e.atS > 0 ? formatDuration(e.atS) : '');
  return names[e.kind];
}

/** A height in a few words. */
export const fitName = ({ kind, line, timeS }: Pick<Fit, 'kind' | 'line' | 'timeS'>): string =>
  kind === 'bands' && line ? t.answer.lines[line] : t.answer.evidence.mark(formatDuration(timeS));
