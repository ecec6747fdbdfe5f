import type { Stood } from '$lib/contract/records/run';
import { fractionsFromGiven, parseShare, outcomeOf, known } from '$lib/core';
import type { Figures, ReadingEntry } from '$lib/contract/records/reading';
import { TEXTURE_LAYERS, type TextureLayer } from '$lib/workbench/layers';
import { t } from '$lib/words';

/** Error of a share that an eye gives, points: one in twenty. */
const EYE_SHARE_POINTS = 5;
/** Shares are kept as lines of a deposit this high, mm. */
const WHOLE_MM = 100;

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
  const named = TEXTURE_LAYERS.filter((layer) => given[layer] !== undefined);
  if (Object.keys(errors).length > 0 || named.length === 0) return { errors };
  const base: ReadingEntry = { ruler: 'eye', figures, rulerSigmaMm: EYE_SHARE_POINTS, lines: {} };
  if (texts.by.trim() !== '') base.by = texts.by.trim();
  const line = (mm: number, layer?: TextureLayer) => ({ mm, text: layer ? texts[layer].trim() : '' });
  if (named.length === 1) {
    const [layer] = named;
    if (layer === 'silt') return { errors: { silt: t.stands.notSiltAlone } };
    const share = known(given[layer], 'only layers that were given are named');
    const lines: ReadingEntry['lines'] =
      layer === 'sand' ? { sand: line(share, 'sand') } : { silt: line(WHOLE_MM - share) };
    return { errors, entry: { ...base, lines, measuredTotal: line(WHOLE_MM) } };
  }
  const { done: f, problem } = outcomeOf(() => fractionsFromGiven(given));
  if (!f) return { errors: problem ? { [problem.field]: problem.message } : {} };
  const missing = TEXTURE_LAYERS.find((layer) => given[layer] === undefined);
  const lines = {
    sand: line(f.sand, 'sand'),
    silt: line(f.sand + f.silt, 'silt'),
    clay: line(WHOLE_MM, 'clay')
  };
  return {
    errors,
    entry: { ...base, lines },
    ...(missing ? { follows: { layer: missing, pct: f[missing] } } : {})
  };
}
