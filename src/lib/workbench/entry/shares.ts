import { outcomeOf, parseShare } from '../../core/index.ts';
import type { Figures, ReadingEntry } from '../../contract/records/reading.ts';
import { sharesEntry } from '../../contract/shares.ts';
import { TEXTURE_LAYERS, type TextureLayer } from '../layers.ts';

/** What was typed of shares: an entry once it holds together, and a sentence beside each field that does not. */
export function readShares(
  texts: Record<TextureLayer, string>,
  figures: Figures
): { entry?: ReadingEntry; errors: Record<string, string>; rest?: { layer: TextureLayer; pct: number } } {
  const errors: Record<string, string> = {};
  const given: Partial<Record<TextureLayer, number>> = {};
  for (const layer of TEXTURE_LAYERS) {
    if (texts[layer].trim() === '') continue;
    const { done, problem } = outcomeOf(() => parseShare(texts[layer]));
    if (problem) errors[layer] = problem.message;
    else given[layer] = done;
  }
  if (Object.keys(errors).length > 0 || Object.keys(given).length === 0) return { errors };
  const { done, problem } = outcomeOf(() => sharesEntry(given, figures, texts));
  if (!done) return { errors: problem ? { [problem.field]: problem.message } : {} };
  return { entry: done.entry, errors, ...(done.follows ? { rest: done.follows } : {}) };
}
