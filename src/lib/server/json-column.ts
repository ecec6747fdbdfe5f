import { customType } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { WINDOW_OF } from '../core/judge/profile.ts';
import { MISSING_KINDS } from '../core/judge/missing.ts';
import { WALL_OF, WALL_SIGNS } from '../core/judge/technique.ts';
import { DRILL_KEYS } from '../core/practice/drills.ts';

/** While set, what does not fit is refused where else it is read as blank. */
let strict = false;

/** Runs something, which reads columns at once, such that no column of JSON is read as blank: what does not fit throws. */
export function readStrictly<T>(read: () => T): T {
  strict = true;
  try {
    return read();
  } finally {
    strict = false;
  }
}

/**
 * A column of JSON that is read through a schema. What does not fit, as a row of another version or one that was damaged, is
 * read as `blank`; the row itself stays as it is. Null stays null.
 *
 * @param schema what the column holds, without the limits of today: what was kept once is read for ever
 * @param blank what is read instead; an error names the column where there is none, and null reads as nothing kept
 */
export function jsonColumn<T>(name: string, schema: z.ZodType<unknown>, blank?: T | null) {
  return customType<{ data: T; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (text) => {
      const kept = parsed(text);
      // What was kept is handed on as it is: a field that this version does not know is not lost on the way back.
      if (schema.safeParse(kept).success) return kept as T;
      if (blank === undefined || strict)
        throw new Error(`A row cannot be read: its ${name} is of another shape.`);
      return structuredClone(blank) as T;
    }
  })(name);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const length = z.looseObject({ mm: z.number(), text: z.string() });
const windowOf = z.enum(WINDOW_OF);
const fractions = z.looseObject({ sand: z.number(), silt: z.number(), clay: z.number() });
const wallWindow = z.looseObject({ of: z.enum(WALL_OF), reason: z.string() });
const techniqueKept = z.looseObject({
  technique: z.looseObject({ id: z.string(), version: z.number(), name: z.string() }),
  chance: z.number(),
  on: z.enum(['heights', 'mass']),
  windows: z.array(z.looseObject({ window: wallWindow, chance: z.number().optional() })),
  doubt: wallWindow.optional(),
  unknown: z.array(z.enum(WALL_OF)),
  partly: z.boolean()
});
const layer = z.enum(['sand', 'silt', 'clay']);

/** What columns of JSON hold, by the kinds of their fields. */
const profile = z.looseObject({ id: z.string(), version: z.number(), name: z.string() });

const level = z.number().int().min(1).max(5);

export const shapes = {
  sheet: z.array(
    z.discriminatedUnion('kind', [
      z.looseObject({ kind: z.literal('drill'), key: z.enum(DRILL_KEYS), level, count: z.number().int() }),
      z.looseObject({ kind: z.literal('calculation'), level }),
      z.looseObject({ kind: z.literal('jar'), code: z.string().nullable() }),
      z.looseObject({ kind: z.literal('test'), what: z.string() })
    ])
  ),
  answer: z.discriminatedUnion('kind', [
    z.looseObject({ kind: z.literal('drill'), given: z.looseObject({}) }),
    z.looseObject({ kind: z.literal('calculation'), text: z.string() }),
    z.looseObject({
      kind: z.literal('jar'),
      tops: z.looseObject({ sandMm: z.number(), siltMm: z.number(), clayMm: z.number() })
    }),
    z.looseObject({ kind: z.literal('test'), text: z.string() })
  ]),
  score: z.looseObject({
    points: z.number(),
    off: z.looseObject({ by: z.number(), unit: z.enum(['mm', 's', 'points', 'classes']) })
  }),
  line: z.looseObject({ id: z.string(), code: z.string() }),
  point: z.looseObject({ id: z.string(), fractions }),
  texts: z.array(z.string()),
  length,
  layers: z.array(layer),
  marks: z.array(z.looseObject({ layer, atS: z.number(), untilS: z.number().optional() })),
  outline: z.array(z.tuple([z.number(), z.number()])),
  widths: z.array(z.looseObject({ heightMm: z.number(), diameterMm: z.number() })),
  sketch: z.looseObject({
    backdrop: z.looseObject({ metresPerPx: z.number() }).nullable(),
    scaled: z.boolean(),
    earth: z.looseObject({ bearing: z.number() }).nullable()
  }),
  details: z.looseObject({
    takenOn: z.string().optional(),
    depthFrom: length.optional(),
    depthTo: length.optional(),
    driedH: z.number().optional(),
    sieve: length.optional(),
    gravel: z.looseObject({ amount: z.number(), unit: z.string() }).optional(),
    mix: z
      .looseObject({
        parts: z.array(z.looseObject({ name: z.string(), buckets: z.number() })),
        on: z.enum(['heights', 'mass']),
        shares: fractions,
        sd: z.looseObject({ sand: z.number(), clay: z.number() })
      })
      .optional()
  }),
  weighed: z.looseObject({ grams: z.number(), readsToG: z.number() }),
  used: z.looseObject({
    dispersant: z.looseObject({ kind: z.string(), text: z.string() }).optional(),
    soil: z.string().optional(),
    soaked: z.string().optional(),
    shaken: z.string().optional()
  }),
  prep: z.looseObject({ ticks: z.array(z.string()), shakeStartedAt: z.number().nullable() }),
  settings: z.looseObject({ quietFrom: z.number(), quietTo: z.number() }).partial(),
  method: z.looseObject({
    key: z.string(),
    version: z.number(),
    name: z.string(),
    marks: z.array(z.looseObject({ layer, atS: z.number() })),
    fill: z.looseObject({}),
    agitate: z.looseObject({ fromS: z.number(), toS: z.number() }),
    dispersant: z.looseObject({ mlPerL: z.number() }),
    end: z.looseObject({ fromS: z.number() }),
    steps: z.array(z.looseObject({ text: z.string() }))
  }),
  cylinder: z.looseObject({ facts: z.looseObject({ airDryG: z.number() }), blankId: z.string().nullable() }),
  strip: z.looseObject({ fromMm: z.number(), rowMm: z.number() }),
  entry: z.looseObject({ ruler: z.string(), lines: z.record(z.string(), length) }),
  profile: z.union([
    profile.extend({ windows: z.array(z.looseObject({ of: windowOf, reason: z.string() })) }),
    profile.extend({
      on: z.enum(['heights', 'mass']),
      windows: z.array(z.looseObject({ of: z.enum(WALL_OF), reason: z.string() }))
    }),
    profile.extend({
      figures: z.array(z.looseObject({ of: z.string(), value: z.number().nullable(), reason: z.string() }))
    })
  ]),
  kept: z.discriminatedUnion('ask', [
    z.looseObject({
      ask: z.literal('bed'),
      soil: fractions,
      organic: z.looseObject({ pct: z.number(), sd: z.number() }),
      ground: z.looseObject({ mmH: z.number(), holes: z.number() }).nullable(),
      chance: z.number(),
      profile: z.looseObject({ name: z.string(), version: z.number() }),
      windows: z.array(z.looseObject({ window: z.looseObject({ of: windowOf }), chance: z.number() })),
      doubt: z.looseObject({ of: windowOf })
    }),
    z.looseObject({
      ask: z.literal('wall'),
      soil: fractions,
      facts: z.looseObject({ gravelPct: z.number() }),
      signs: z.array(z.enum(WALL_SIGNS)),
      said: z.array(techniqueKept).min(1),
      blend: z
        .looseObject({
          parts: z.array(
            z.looseObject({
              name: z.string(),
              buckets: z.number(),
              shares: fractions,
              sd: z.looseObject({ sand: z.number(), clay: z.number() }),
              gravelPct: z.number(),
              moisturePct: z.number(),
              bucketKg: z.number()
            })
          ),
          shares: fractions,
          said: techniqueKept
        })
        .optional(),
      noBlend: z
        .looseObject({
          materials: z.array(z.string()),
          technique: z.string(),
          blocks: z.array(z.enum(WALL_OF)),
          missing: z.looseObject({ kind: z.enum(MISSING_KINDS), sharePct: z.number() }).optional()
        })
        .optional()
    }),
    z.looseObject({
      ask: z.literal('bore'),
      soil: fractions,
      line: z.number(),
      verdict: z.looseObject({ plan: z.enum(['sand', 'clay', 'near']), sand: z.number(), chance: z.number() })
    })
  ]),
  snapshot: z.looseObject({ methodKey: z.string(), methodVersion: z.number() }),
  pressure: z.looseObject({ mpa: z.number(), text: z.string() }),
  cared: z.array(z.looseObject({ key: z.string(), at: z.number() })),
  seen: z.looseObject({
    drop: z.string().optional(),
    length: length.optional(),
    sides: z.tuple([length, length, length]).optional(),
    massG: z.number().optional(),
    wetMassG: z.number().optional(),
    gauge: z.looseObject({ mpa: z.number(), text: z.string() }).optional(),
    look: z.string().optional()
  }),
  folder: z.array(z.looseObject({ sampleId: z.string(), theirs: z.string() })),
  words: z.record(z.string(), z.union([z.string(), z.number(), z.null()])),
  changes: z.array(z.looseObject({ table: z.string() }))
};
