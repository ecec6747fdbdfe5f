import type { Stood } from '$lib/contract/records/run';
import { sharesEntry } from '$lib/contract/shares';
import { parseShare, outcomeOf } from '$lib/core';
import type { Figures, ReadingEntry } from '$lib/contract/records/reading';
import { TEXTURE_LAYERS, type TextureLayer } from '$lib/workbench/layers';

/** What is said of a jar besides its lines: since when it stands, its vessel and soil, by id, or the soil's name. */
export type KnownTexts = { stood: Stood; vesselId: string; sampleId: string; sampleName: string };

export type ShareTexts = Record<TextureLayer, string> & { by: string };

/** What was typed of shares: an entry once it holds together, and a sentence beside each field that does not. */
export function readShares(
  texts: ShareTexts,
  figures: Figures
): { entry?: ReadingEntry; errors: Record<string, string>; follows?: { layer: TextureLayer; pct: number } } {
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
  const by = texts.by.trim();
  return { ...done, errors, entry: by === '' ? done.entry : { ...done.entry, by } };
}
