import { z } from 'zod';

/** Values that many documents carry. */
export const time = z.iso.datetime();
export const percent = z.number().min(0).max(100);

/** A moment as ISO 8601 in UTC. @param at ms UTC */
export const iso = (at: number): string => new Date(at).toISOString();
export const isoOrNull = (at: number | null): string | null => (at === null ? null : iso(at));
