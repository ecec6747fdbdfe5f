import { z } from 'zod';

const number = z.coerce.number();

/** A watering plan as its calendar file is asked for: the soil in percent, the bed in mm, percent and m2. */
export const wateringQuery = z.object({
  sand: number,
  clay: number,
  organicPct: number,
  rootDepthMm: number,
  stonesPct: number.default(0),
  needMmWeek: number.default(25),
  cover: z.enum(['bare', 'mulched']).default('bare'),
  /** Of the bed; a square metre where it is left out. */
  areaM2: number.positive().max(1e6).optional(),
  /** First watering, ms UTC. */
  from: number.int().positive(),
  /** How many waterings. */
  times: number.int().min(1).max(60).default(12)
});
