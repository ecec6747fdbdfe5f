import {
  isSameLength,
  LINE_ORDER,
  outcomeOf,
  checkLineOrder,
  type LayerTops,
  type LineName
} from '../../core/index.ts';
import type { Exact } from '../../contract/records/reading.ts';
import { fieldMm, linesShown, readEntry } from './read-entry.ts';
import { offsetOf, scaleOf, type ReadGlass, type Scale } from './scale.ts';
import { isOfShares, OPTIONAL_LINES, type ReadingTexts } from './texts.ts';

/** How figures are written: by which ruler, in which unit, from where, and as what. */
export type View = Pick<ReadingTexts, 'ruler' | 'unit' | 'zero' | 'way'>;

/** Fields that are no lines of the glass. */
const APART = ['total', 'organics'] as const;

/** What a form means, mm: every figure in it, however it is written. */
function meaningOf(texts: ReadingTexts, glass: ReadGlass) {
  const { tops, secondTops, bands } = readEntry(texts, glass);
  const scale = scaleOf(texts, glass);
  const apart = APART.map((name) => fieldMm(texts, scale, name, texts[name]).value);
  const sigmas = LINE_ORDER.map((name) => fieldMm(texts, scale, `${name}-sigma`, texts.sigmas[name]).value);
  return { tops, secondTops, bands, apart, sigmas };
}

const sameLengths = (a: readonly (number | undefined)[], b: readonly (number | undefined)[]) =>
  a.every((mm, i) => {
    const other = b[i];
    return mm === undefined || other === undefined ? mm === other : isSameLength(mm, other);
  });
const heightsOf = (tops: LayerTops) => LINE_ORDER.map((name) => tops[name]);

/** Whether two forms mean the same, however each is written. */
export function meanTheSame(a: ReadingTexts, b: ReadingTexts, glass: ReadGlass): boolean {
  const [one, other] = [meaningOf(a, glass), meaningOf(b, glass)];
  return (
    sameLengths(heightsOf(one.tops), heightsOf(other.tops)) &&
    sameLengths(heightsOf(one.secondTops), heightsOf(other.secondTops)) &&
    sameLengths(one.apart, other.apart) &&
    sameLengths(one.sigmas, other.sigmas)
  );
}

/** Writes figures into fields, each with its own number behind it. */
class Writing {
  readonly exact: Exact[] = [];

  constructor(
    private texts: ReadingTexts,
    private scale: Scale
  ) {}

  /** A figure in a field. @param heightMm height of the line over the inside bottom, where the field stands for one */
  write(field: string, mm: number, heightMm?: number): string {
    const text = this.scale.write(mm);
    const was = this.texts.exact.find((one) => one.field === field)?.mark;
    const mark = was && heightMm !== undefined && isSameLength(was.heightMm, heightMm) ? was : undefined;
    if (mark || this.scale.read(text).value !== mm)
      this.exact.push({ field, text, mm, ...(mark ? { mark } : {}) });
    return text;
  }

  /** What cannot be read stays as it was typed. */
  keep(field: string): void {
    const was = this.texts.exact.find((one) => one.field === field);
    if (was) this.exact.push(was);
  }
}

/**
 * Changes how the figures of a form are written: every line stays where it is and is written anew, exactly. What could not be
 * read stays as it was typed, as do heights that do not lie over each other: as thicknesses they may be just what was meant.
 */
export function rewritten(texts: ReadingTexts, to: Partial<View>, glass: ReadGlass): ReadingTexts {
  const next: ReadingTexts = { ...texts, ...to };
  if (isOfShares(texts.way) || isOfShares(next.way)) {
    // Shares and lines stand beside each other: neither is made from the other.
    const lines = isOfShares(next.way) ? texts : rewrittenLines({ ...texts, way: next.way }, next, glass);
    return { ...lines, ...to };
  }
  return rewrittenLines(texts, next, glass);
}

function rewrittenLines(texts: ReadingTexts, next: ReadingTexts, glass: ReadGlass): ReadingTexts {
  const [from, to] = [scaleOf(texts, glass), scaleOf(next, glass)];
  const [offset, nextOffset] = [offsetOf(texts, glass), offsetOf(next, glass)];
  const ways = texts.way !== next.way;
  if (!ways && from.unit === to.unit && offset === nextOffset) return next;
  const read = readEntry(texts, glass);
  const ordered = outcomeOf(() => checkLineOrder(read.tops)).problem === undefined;
  if (ways && !ordered && from.unit === to.unit) return next;
  const writing = new Writing(texts, to);
  const rewriteLines = (of: Record<LineName, string>, tops: LayerTops, suffix = '') => {
    const out = { ...of };
    let below = 0;
    for (const name of linesShown(texts)) {
      const [field, top] = [name + suffix, tops[name]];
      const known = fieldMm(texts, from, field, of[name]).value !== undefined;
      // Where a layer follows from the whole it is the clay, as heights as well as thicknesses.
      const follows = ways && suffix === '' && read.followed !== undefined && name === 'clay';
      if (of[name].trim() !== '' && !known) writing.keep(field);
      else if (top === undefined) out[name] = ways ? '' : of[name];
      else if (follows) out[name] = '';
      else if (known || ways) {
        const mm = next.way === 'heights' ? to.onTop(nextOffset, top) : to.between(below, top);
        out[name] = writing.write(field, mm, top);
      }
      if (top !== undefined) below = Math.max(below, top);
    }
    return out;
  };
  const apart = (field: string, text: string) => {
    const mm = text.trim() === '' ? undefined : fieldMm(texts, from, field, text).value;
    if (mm !== undefined && from.unit !== to.unit) return writing.write(field, mm);
    writing.keep(field);
    return text;
  };
  const lines = rewriteLines(texts.lines, read.tops);
  const second = rewriteLines(texts.second, read.secondTops, '-second');
  const sigmas = { ...texts.sigmas };
  for (const name of LINE_ORDER) sigmas[name] = apart(`${name}-sigma`, texts.sigmas[name]);
  const [total, organics] = APART.map((name) => apart(name, texts[name]));
  return { ...next, lines, second, sigmas, total, organics, exact: writing.exact };
}

/**
 * Puts the top of a line at a height; what lies above keeps its own top.
 * @param exactly set where the height is known to the last digit, with when it was marked, s after set-down, if it was
 */
export function withTop(
  texts: ReadingTexts,
  line: LineName,
  mm: number,
  glass: ReadGlass,
  exactly?: { timeS?: number }
): ReadingTexts {
  const scale = scaleOf(texts, glass);
  const lines = { ...texts.lines };
  const optional = (OPTIONAL_LINES as readonly LineName[]).includes(line);
  const next: ReadingTexts = { ...texts, ...(optional ? { [line]: true } : {}), lines };
  const mark = exactly?.timeS === undefined ? {} : { mark: { timeS: exactly.timeS, heightMm: mm } };
  const put = (name: LineName, figure: number, own = false) => {
    lines[name] = scale.write(figure);
    next.exact = next.exact.filter((one) => one.field !== name);
    const shows = scale.read(lines[name]).value === figure;
    // Where a tape is let go is no more exact than it shows; what stands above it does not move.
    if ((own && exactly) || (!own && !shows))
      next.exact = [...next.exact, { field: name, text: lines[name], mm: figure, ...(own ? mark : {}) }];
  };
  if (texts.way === 'heights') {
    put(line, scale.onTop(offsetOf(texts, glass), mm), true);
    return next;
  }
  const { tops, followed } = readEntry(texts, glass);
  const at = LINE_ORDER.indexOf(line);
  const placed = (name: LineName) => tops[name] !== undefined;
  const below = LINE_ORDER.slice(0, at).findLast(placed);
  const above = LINE_ORDER.slice(at + 1).find(placed);
  put(line, Math.max(0, scale.between((below && tops[below]) ?? 0, mm)), true);
  const moved = scale.onTop((below && tops[below]) ?? 0, fieldMm(next, scale, line, lines[line]).value ?? 0);
  if (above && above !== followed?.layer && tops[above] !== undefined)
    put(above, Math.max(0, scale.between(moved, tops[above])));
  return next;
}
