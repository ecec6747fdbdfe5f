import type { Fractions } from '../core/index.ts';
import { soilText } from './headline.ts';
import { t } from './index.ts';

/** English. What a sample is judged by, and what stands beside it. */

type Source = { kind: keyof typeof t.act.source; name: string };

const sourceText = ({ kind, name }: Source): string => t.act.source[kind](name);

/** What stands beside that by which a sample is judged, in a sentence; empty where nothing does. */
export const besideText = (others: readonly Source[]): string =>
  others.length === 0 ? '' : t.act.besides(others.map(sourceText));

/** By what a sample is judged, the soil that it is by that, and what stands beside it. */
export function judgedText({
  by,
  others,
  soil
}: {
  by: Source;
  others: readonly Source[];
  soil?: { fractions: Fractions };
}): string {
  return [t.act.sampleBy(sourceText(by)), soil ? soilText(soil.fractions) : '', besideText(others)]
    .filter(Boolean)
    .join(' ');
}
