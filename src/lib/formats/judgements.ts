import { z } from 'zod';
import {
  MISSING_KINDS,
  openTo,
  suitsBest,
  WALL_OF,
  WALL_SIGNS,
  type Material,
  type TechniqueKept
} from '../core/index.ts';
import type { JudgementRecord, KeptVerdict } from '../contract/records/judgement.ts';
import { keptLine } from '../words/verdict.ts';
import { csvFile } from './csv-file.ts';
import { iso, percent, time } from './values.ts';

/** Judgements as JSON and CSV. Shares in percent, times ISO 8601 in UTC. */

const techniqueOut = z.object({
  id: z.string(),
  version: z.number(),
  name: z.string(),
  on: z.enum(['heights', 'mass']),
  chance: z.number().min(0).max(1),
  doubt: z.enum(WALL_OF).nullable(),
  unknown: z.array(z.enum(WALL_OF)),
  windows: z.array(
    z.object({
      of: z.enum(WALL_OF),
      least: z.number().nullable(),
      most: z.number().nullable(),
      chance: z.number().nullable()
    })
  )
});

const techniqueToJson = ({
  technique: { id, version, name },
  on,
  chance,
  doubt,
  unknown,
  windows
}: TechniqueKept): z.infer<typeof techniqueOut> => ({
  id,
  version,
  name,
  on,
  chance,
  doubt: doubt?.of ?? null,
  unknown,
  windows: windows.map(({ window, chance: holds }) => ({
    of: window.of,
    least: window.least ?? null,
    most: window.most ?? null,
    chance: holds ?? null
  }))
});

const partToJson = (part: Material & { buckets: number }) => ({
  name: part.name,
  buckets: part.buckets,
  shares: part.shares,
  offBy: part.sd,
  gravelPct: part.gravelPct,
  moisturePct: part.moisturePct,
  bucketKg: part.bucketKg,
  there: part.most ?? null,
  price: part.price ?? null,
  carryM: part.carryM ?? null
});

/** What a verdict comes to: of a wall that of the technique it suits best, of those that nothing seen refuses. */
function chanceOf(kept: KeptVerdict): number {
  if (kept.ask === 'bed') return kept.chance;
  if (kept.ask === 'bore') return kept.verdict.chance;
  const open = openTo(kept.said, kept.signs);
  return open.length > 0 ? suitsBest(open).chance : 0;
}

export const judgementsDocument = z
  .object({
    judgements: z.array(
      z.object({
        id: z.string(),
        testId: z.string().nullable(),
        code: z.string().nullable(),
        sample: z.string().nullable(),
        keptAt: time,
        ask: z.enum(['bed', 'bore', 'wall']),
        verdict: z.string(),
        chance: z.number().min(0).max(1),
        soil: z
          .object({
            sand: percent.nullable(),
            silt: percent.nullable(),
            clay: percent.nullable(),
            clayOver: percent.nullable().describe('its clay is over this: no line was seen')
          })
          .describe('null where one share alone was read'),
        basis: z.enum(['laboratory', 'estimate', 'weighed', 'read', 'typed', 'bottle']),
        ribbonMm: z.number().nullable().describe('length of the ribbon that it was weighed by, too'),
        figures: z
          .object({ id: z.string(), version: z.number(), name: z.string() })
          .nullable()
          .describe('what it was counted with; null for verdicts of before there were any'),
        profile: z
          .object({ id: z.string(), version: z.number(), name: z.string() })
          .nullable()
          .describe('what a bed was asked for; null for a bore'),
        windows: z.array(
          z.object({
            of: z.string(),
            least: z.number().nullable(),
            most: z.number().nullable(),
            chance: z.number()
          })
        ),
        linePct: z.number().nullable().describe('of a bore: the line between clay and sandy ground, % sand'),
        techniques: z.array(techniqueOut).describe('of a wall: every technique as it was asked then'),
        facts: z
          .object({
            gravelPct: z.number(),
            stoneMm: z.number().nullable(),
            organicPct: z.number().nullable()
          })
          .nullable()
          .describe('of a wall: what no jar says'),
        signs: z.array(z.enum(WALL_SIGNS)).describe('of a wall: what was seen'),
        blend: z
          .object({
            parts: z.array(
              z.object({
                name: z.string(),
                buckets: z.number(),
                shares: z.object({ sand: percent, silt: percent, clay: percent }),
                offBy: z.object({ sand: z.number(), clay: z.number() }).describe('standard errors, points'),
                gravelPct: percent,
                moisturePct: z.number().describe('of the dry mass, as it lies'),
                bucketKg: z.number(),
                there: z.number().nullable().describe('buckets there are'),
                price: z.number().nullable().describe('of a bucket'),
                carryM: z.number().nullable()
              })
            ),
            shares: z.object({ sand: percent, silt: percent, clay: percent }),
            technique: techniqueOut
          })
          .nullable()
          .describe('the mix that was kept with it'),
        noBlend: z
          .object({
            materials: z.array(z.string()),
            technique: z.string(),
            blocks: z.array(z.enum(WALL_OF)),
            missing: z.object({ kind: z.enum(MISSING_KINDS), sharePct: z.number() }).nullable()
          })
          .nullable()
          .describe(
            'where none of the materials at hand would do: what stood in the way, and what was missing'
          )
      })
    )
  })
  .describe('Judgements as they were kept, the newest first.');

/** Shares of a soil; of one share alone the others are not known. */
function soilKept({ soil, onlySand, onlyClay, clayOver }: JudgementRecord['kept']) {
  return {
    sand: onlyClay ? null : soil.sand,
    silt: onlySand || onlyClay ? null : soil.silt,
    clay: onlySand || clayOver !== undefined ? null : soil.clay,
    clayOver: clayOver ?? null
  };
}

export function judgementsToJson(all: readonly JudgementRecord[]): z.infer<typeof judgementsDocument> {
  return {
    judgements: all.map(({ id, testId, code, sampleName, createdAt, kept }) => ({
      id,
      testId,
      code,
      sample: sampleName,
      keptAt: iso(createdAt),
      ask: kept.ask,
      verdict: keptLine(kept),
      chance: chanceOf(kept),
      soil: soilKept(kept),
      basis: kept.basis,
      ribbonMm: kept.ribbonMm ?? null,
      figures: kept.by ? { id: kept.by.id, version: kept.by.version, name: kept.by.name } : null,
      profile:
        kept.ask === 'bed'
          ? { id: kept.profile.id, version: kept.profile.version, name: kept.profile.name }
          : null,
      windows:
        kept.ask === 'bed'
          ? kept.windows.map(({ window, chance }) => ({
              of: window.of,
              least: window.least ?? null,
              most: window.most ?? null,
              chance
            }))
          : [],
      linePct: kept.ask === 'bore' ? kept.line : null,
      techniques: kept.ask === 'wall' ? kept.said.map(techniqueToJson) : [],
      facts:
        kept.ask === 'wall'
          ? {
              gravelPct: kept.facts.gravelPct,
              stoneMm: kept.facts.stoneMm ?? null,
              organicPct: kept.facts.organicPct ?? null
            }
          : null,
      signs: kept.ask === 'wall' ? kept.signs : [],
      blend:
        kept.ask === 'wall' && kept.blend
          ? {
              parts: kept.blend.parts.map(partToJson),
              shares: kept.blend.shares,
              technique: techniqueToJson(kept.blend.said)
            }
          : null,
      noBlend:
        kept.ask === 'wall' && kept.noBlend
          ? { ...kept.noBlend, missing: kept.noBlend.missing ?? null }
          : null
    }))
  };
}

export function judgementsToCsv(all: readonly JudgementRecord[]): string {
  const rows = judgementsToJson(all).judgements.map((j) => ({
    kept_utc: j.keptAt,
    code: j.code ?? '',
    sample: j.sample ?? '',
    ask: j.ask,
    for: j.profile?.name ?? '',
    version: j.profile?.version ?? '',
    chance_pct: (100 * j.chance).toFixed(1),
    verdict: j.verdict,
    sand_pct: j.soil.sand?.toFixed(2) ?? '',
    silt_pct: j.soil.silt?.toFixed(2) ?? '',
    clay_pct: j.soil.clay?.toFixed(2) ?? '',
    basis: j.basis,
    blend: j.blend?.parts.map(({ buckets, name }) => `${buckets} x ${name}`).join(', ') ?? '',
    ribbon_mm: j.ribbonMm ?? '',
    figures: j.figures ? `${j.figures.name}, version ${j.figures.version}` : '',
    id: j.id
  }));
  return csvFile(rows, [
    ...['kept_utc', 'code', 'sample', 'ask', 'for', 'version', 'chance_pct', 'verdict'],
    ...['sand_pct', 'silt_pct', 'clay_pct', 'basis', 'blend', 'ribbon_mm', 'figures', 'id']
  ]);
}
