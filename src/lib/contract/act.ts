import { z } from 'zod';
import { refusals } from '../words/refusals.ts';

const number = z.coerce.number();

/** No month asks for more or less than this, mm a week. */
const NEED = { least: 1, most: 150 };

/** Twelve needs as a text holds them; undefined where they are none. */
export function monthNeeds(text: string): (number | null)[] | undefined {
  const parts = text.split(',').map((part) => part.trim());
  const needs = parts.map((part) => (part === '' ? null : Number(part)));
  const fine = needs.every((need) => need === null || (need >= NEED.least && need <= NEED.most));
  return parts.length === 12 && fine ? needs : undefined;
}

/** A watering plan as its calendar file is asked for: the soil in percent, the bed in mm, percent and m2. */
export const wateringQuery = z.object({
  sand: number,
  clay: number,
  organicPct: number,
  rootDepthMm: number,
  stonesPct: number.default(0),
  needMmWeek: number.default(25),
  /** Needs by month, mm a week, January first, parted by commas; an empty one takes the usual need. */
  byMonth: z
    .string()
    .max(120)
    .transform((text, context) => {
      const needs = monthNeeds(text);
      if (!needs) context.addIssue({ code: 'custom', message: refusals.api.twelveNeeds });
      return needs ?? [];
    })
    .optional(),
  cover: z.enum(['bare', 'mulched']).default('bare'),
  /** Share of the store that is used before it is filled up. */
  depletion: number.default(0.5),
  /** Of the bed; a square metre where it is left out. */
  areaM2: number.optional(),
  /** First watering, ms UTC. */
  from: number.int().positive(),
  /** How many waterings. */
  times: number.int().min(1).max(60).default(12)
});

/** A material of a blend as it was typed: which soil, and what is known of its buckets; empty for what is taken for granted. */
export type BlendRow = {
  /** `own` for the soil in hand, the id of a test, or sand and clay as `95/2`. */
  of: string;
  bucketKg: string;
  moisture: string;
  gravel: string;
  most: string;
  price: string;
  /** How far it is carried, m. */
  carry: string;
};
const ROW = ['of', 'bucketKg', 'moisture', 'gravel', 'most', 'price', 'carry'] as const;
/** So many materials stand in one blend. */
export const MOST_ROWS = 8;

/** Materials as an address holds them, parted by semicolons, what is typed of each by tildes. */
export const blendOf = (text: string): BlendRow[] =>
  text
    .split(';')
    .filter((row) => row !== '')
    .slice(0, MOST_ROWS)
    .map((row) => {
      const parts = row.split('~');
      return Object.fromEntries(ROW.map((key, i) => [key, (parts[i] ?? '').slice(0, 30)])) as BlendRow;
    });

/** The other way round. */
export const blendText = (rows: readonly BlendRow[]): string =>
  rows.map((row) => ROW.map((key) => row[key].replace(/[;~]/g, '')).join('~')).join(';');

/** A test along a bore: its id, and how far from the start, m. */
export type Station = { id: string; atM: number };

/** So many tests stand along one bore. */
export const MOST_STATIONS = 20;
/** No bore that is planned by bottles is longer, m. */
export const LONGEST_M = 10_000;

/** Stations as an address holds them: `id@12.5,id@40`; those that are none are left out, the nearest comes first. */
export function alongOf(text: string | null): Station[] {
  return (text ?? '')
    .split(',')
    .flatMap((part): Station[] => {
      const [id, at] = part.split('@');
      const atM = Number(at);
      return /^[0-9A-Z]{26}$/.test(id) && at && atM >= 0 && atM <= LONGEST_M ? [{ id, atM }] : [];
    })
    .slice(0, MOST_STATIONS)
    .sort((a, b) => a.atM - b.atM);
}

/** The other way round. */
export const alongText = (stations: readonly Station[]): string =>
  stations.map(({ id, atM }) => `${id}@${atM}`).join(',');
