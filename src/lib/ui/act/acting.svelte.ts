import { replaceState } from '$app/navigation';
import { untrack } from 'svelte';
import {
  BED_PROFILES,
  FIGURE_SETS,
  figuresOf,
  bulkDensity,
  judgeBore,
  judgeProfile,
  movedShares,
  ORGANIC_UNKNOWN,
  outcomeOf,
  soilDraws,
  soilWater,
  USUAL_BED,
  type Asked,
  type Bed,
  type EstimateInput,
  type FigureSet,
  type Fractions,
  type GroundDrainage,
  type JudgeProfile,
  type LengthUnit,
  type SettlingId,
  type WallSoil
} from '$lib/core';
import { soilTyped, TAKEN_FOR, type SoilInHand } from '$lib/workbench/act';
import { clock } from '$lib/browser/clock.svelte';
import { SettleWork } from '$lib/browser/work';
import { judgedBy, LAB_POINTS, type JudgedBy, type KnownSoil } from '$lib/workbench/judged-by';
import { readLength, readNumber } from '$lib/workbench/entry/figure';
import type { KeptVerdict } from '$lib/contract/records/judgement';
import { readTyped } from '../know/typed';
import { t } from '$lib/words';
import type { Format } from '$lib/words/format';

/** How an area is told from a test among the soils. */
export const AREA = 'area:';

/** What is typed on the page, as it stands in its address; empty for what is taken for granted. */
const NOTHING = {
  sand: '',
  silt: '',
  clay: '',
  ask: 'bed' as 'bed' | 'bore' | 'wall',
  bed: BED_PROFILES[0].id,
  /** The figures it counts with. */
  by: FIGURE_SETS[0].id,
  organic: '',
  area: '',
  roots: '',
  stones: '',
  need: '',
  rate: '',
  cover: 'bare' as 'bare' | 'mulched',
  wanted: '',
  depth: '',
  line: '',
  target: '',
  /** Needs by month, as an address holds them. */
  months: '',
  /** Another test, to be watered beside this one. */
  beside: '',
  barrows: '',
  price: '',
  /** Another material: a test, or its sand and clay, and how much, L. */
  material: '',
  msand: '',
  mclay: '',
  litres: '',
  /** For a wall: gravel, the biggest stone, the skin of organic matter, and what was seen. */
  gravel: '',
  stone: '',
  skin: '',
  signs: '',
  /** A blend: its technique, how many buckets, and its materials as an address holds them. */
  technique: '',
  batch: '',
  blend: '',
  /** Tests along a bore, as their stations are written. */
  along: ''
};
export type ActEntry = typeof NOTHING;

/** What is longer than a figure. */
const LONG: Partial<Record<keyof ActEntry, number>> = { along: 1000, blend: 1500, months: 120 };

function entryOf(asked: URLSearchParams): ActEntry {
  const entry = { ...NOTHING };
  for (const key of Object.keys(NOTHING) as (keyof ActEntry)[]) {
    const text = asked.get(key)?.slice(0, LONG[key] ?? 30);
    if (text) (entry as Record<string, string>)[key] = text;
  }
  if (!Object.hasOwn(t.act.asks, entry.ask)) entry.ask = 'bed';
  if (!Object.hasOwn(t.act.water.covers, entry.cover)) entry.cover = 'bare';
  return entry;
}

/** A number that was typed, or what is taken where nothing is. */
export function numberOr(text: string, usual: number): { value: number; error?: string } {
  if (text.trim() === '') return { value: usual };
  const value = readNumber(text);
  return Number.isNaN(value) ? { value: usual, error: t.act.number } : { value };
}

const POINTS = { laboratory: LAB_POINTS, bottle: TAKEN_FOR.bottle, read: TAKEN_FOR.read } as const;

/** What is kept of a soil of which one share alone was read. */
type ReadAlone = Partial<Pick<KeptVerdict, 'soil' | 'onlyClay' | 'onlySand' | 'clayOver'>>;

/** The one share that a soil is known by, in a sentence. @param code the test it was read in */
export function basisOfShare({ only, smeared }: Pick<WallSoil, 'only' | 'smeared'>, code: string): string {
  if (!only) return '';
  const percent = t.common.percent(Math.round(only.pct));
  return smeared ? t.act.basis.smeared(code, percent) : t.act.basis.share(code, t.layer[only.layer], percent);
}

/** What a soil is known by, in a sentence. @param code what it is known from: a test, or a laboratory */
export function basisOf(
  { basis, ribbonMm, ...kept }: Pick<SoilInHand, 'basis' | 'ribbonMm'> & ReadAlone,
  format: Pick<Format, 'length'>,
  code = ''
): string {
  const { soil, onlyClay, onlySand, clayOver } = kept;
  if (soil && basis === 'read' && (onlyClay || onlySand)) {
    const layer = onlyClay ? ('clay' as const) : ('sand' as const);
    const smeared = clayOver === undefined ? undefined : true;
    return basisOfShare({ only: { layer, pct: clayOver ?? soil[layer] }, smeared }, code);
  }
  if (basis === 'typed') return t.act.basis.typed(TAKEN_FOR.typed);
  const said = t.act.basis[basis](code, POINTS[basis as keyof typeof POINTS] ?? TAKEN_FOR.read);
  return ribbonMm === undefined ? said : `${said} ${t.act.ribbon.counts(format.length(ribbonMm))}`;
}

/** Steps that would say no more of a sample than what it is judged by. */
function saidAlready(by: JudgedBy | undefined): SettlingId[] {
  const jars = ['second-jar', 'weighed-jar'] as const;
  if (by?.by.kind === 'laboratory') return [...jars, 'hydrometer', 'laboratory'];
  return by?.by.kind === 'cylinder' ? [...jars, 'hydrometer'] : [];
}

/** The bed that is worked, as it was typed: usual where nothing is, with what is wrong of its depth. */
export function bedOf(
  entry: Pick<ActEntry, 'area' | 'depth'>,
  soil: Fractions,
  organicPct: number,
  unit: LengthUnit
): { bed: Bed; depthError?: string } {
  const depth = entry.depth.trim() === '' ? { value: USUAL_BED.depthMm } : readLength(entry.depth, unit);
  return {
    bed: {
      areaM2: numberOr(entry.area, USUAL_BED.areaM2).value,
      depthMm: depth.value ?? USUAL_BED.depthMm,
      bulkGCm3: bulkDensity(soilWater({ sand: soil.sand, clay: soil.clay, organicPct }))
    },
    depthError: depth.error
  };
}

/**
 * A soil in hand and what is asked of it: the entry stands in the address, and the judgement follows from it. Call it while
 * the page is set up.
 */
export function acting(o: {
  url: URL;
  chosen: () => {
    id: string;
    known: KnownSoil;
    jar: { input: EstimateInput; setDownAt: number } | null;
  } | null;
  /** How fast the ground lets water through, where holes say so. */
  ground: () => GroundDrainage | undefined;
  /** What beds are asked for now, and the figures there are. */
  beds: () => readonly JudgeProfile[];
  figures: () => readonly FigureSet[];
}) {
  const entry = $state(entryOf(o.url.searchParams));
  /** What the soil was dragged to, and when a hand is on it. */
  let whatIf = $state<Fractions>();
  const typed = $derived(readTyped(entry));
  /** What the sample in hand is judged by. */
  const by = $derived.by(() => {
    const chosen = o.chosen();
    return chosen ? judgedBy(chosen.known, chosen.id) : undefined;
  });
  const stands = $derived.by((): SoilInHand | undefined => {
    const chosen = o.chosen();
    if (chosen) return entry.ask === 'bore' ? by?.bore : by?.soil;
    return typed.point && soilTyped(typed.point);
  });
  const shown = $derived(whatIf ?? stands?.fractions);
  const organic = $derived(numberOr(entry.organic, ORGANIC_UNKNOWN.pct));
  /** Organic matter with how far off it may be, and how the ground drains. */
  const beside = $derived({
    organic: { pct: organic.value, sd: entry.organic.trim() === '' ? ORGANIC_UNKNOWN.sd : 0 },
    ground: o.ground() ?? null
  });
  const draws = $derived.by(() => {
    if (!stands) return undefined;
    const { shares, fractions } = stands;
    const moved = whatIf ? movedShares(shares, fractions, whatIf) : shares;
    return soilDraws(moved, beside.organic, beside.ground);
  });
  const profile = $derived(o.beds().find((p) => p.id === entry.bed) ?? o.beds()[0]);
  const bed = $derived(draws && outcomeOf(() => judgeProfile(profile, draws)));
  const set = $derived(o.figures().find((s) => s.id === entry.by) ?? o.figures()[0]);
  const figures = $derived(figuresOf(set));
  const line = $derived.by(() => {
    const read = numberOr(entry.line, figures.boreLinePct);
    const outside = !(read.value > 0 && read.value < 100);
    return outside ? { value: figures.boreLinePct, error: t.act.bore.lineWithin } : read;
  });
  const atLine = $derived({ ...figures, boreLinePct: line.value });
  const bore = $derived(draws && judgeBore(draws, atLine));
  const settle = new SettleWork();
  $effect(() => {
    const asked: Asked =
      entry.ask === 'bore' ? { ask: 'bore', figures: atLine } : { ask: 'bed', profile, ...beside };
    const judged = draws && entry.ask !== 'wall' && (entry.ask === 'bore' || bed?.done);
    const { shares } = draws ?? { shares: new Float64Array() };
    // Of a soil that is not in hand no ribbon is pressed; one that was says already what another would.
    const without: SettlingId[] = [
      ...(o.chosen() && !stands?.onlySand && stands?.ribbonMm === undefined ? [] : (['ribbon'] as const)),
      ...saidAlready(by)
    ];
    const stood = whatIf || by?.by.kind !== 'jar' ? undefined : o.chosen()?.jar;
    untrack(() => {
      const jar = stood ? { input: stood.input, ageS: (clock.now - stood.setDownAt) / 1000 } : undefined;
      settle.ask(judged ? { shares, asked, without } : undefined, jar);
    });
  });

  /** The address of what stands here. */
  const query = $derived.by(() => {
    const out = new URLSearchParams();
    const chosen = o.chosen();
    if (chosen) out.set('test', chosen.id);
    for (const [key, value] of Object.entries(entry))
      if (value !== NOTHING[key as keyof ActEntry] && !(chosen && key in typed)) out.set(key, value);
    return out.toString();
  });
  let settled = false;
  $effect(() => {
    const to = query ? `/act?${query}` : '/act';
    // The address one came by is the first.
    if (settled) untrack(() => replaceState(to, {}));
    settled = true;
  });

  return {
    entry,
    get query() {
      return query;
    },
    get view() {
      return {
        bedKey: profile.id,
        set,
        figures,
        stands,
        by,
        shown,
        moved: stands && whatIf && { from: stands.fractions, to: whatIf },
        typedErrors: typed.errors,
        draws,
        organic: { value: organic.value, error: organic.error ?? bed?.problem?.message },
        bed: bed?.done,
        bore,
        line,
        atLine,
        steps: settle.steps
      };
    },
    /** Whether there is a verdict that could be kept: of a soil that there is, by entries that can be. */
    get canKeep() {
      const wrong = entry.ask === 'bore' ? line.error : (organic.error ?? bed?.problem);
      return stands !== undefined && whatIf === undefined && !wrong;
    },
    /** The address with something else in it; nothing takes it out. */
    at(change: Record<string, string>): string {
      const to = new URLSearchParams(query);
      for (const [key, value] of Object.entries(change)) {
        if (value) to.set(key, value);
        else to.delete(key);
      }
      return to.size > 0 ? `/act?${to}` : '/act';
    },
    move(to: Fractions) {
      whatIf = to;
    },
    back() {
      whatIf = undefined;
    }
  };
}
