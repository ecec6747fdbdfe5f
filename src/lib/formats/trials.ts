import { z } from 'zod';
import { BINDERS, DROPS, MPA_PER, SOAK_LOOKS, TRIAL_KINDS } from '../core/index.ts';
import type { FolderRecord } from '../contract/records/folder.ts';
import type { TrialView } from '../workbench/trials.ts';
import { csvFile } from './csv-file.ts';
import { isoOrNull, time } from './values.ts';

/** Trial pieces as JSON and CSV, and folders as JSON. Lengths in mm, masses in g, strengths in MPa and psi, times ISO 8601 in UTC. */

const number = z.number().nullable();

const strengths = z
  .object({ count: z.number(), mean: z.number(), lowest: z.number(), highest: z.number() })
  .nullable();

export const trialsDocument = z
  .object({
    trials: z.array(
      z.object({
        id: z.string(),
        code: z.string(),
        kind: z.enum(TRIAL_KINDS),
        sampleId: z.string(),
        sample: z.string(),
        mix: z.string(),
        binder: z.enum(BINDERS),
        binderPct: z.number(),
        waterPct: number,
        formedAtMpa: number,
        pistonMm: number,
        areaMm2: number.describe('loaded area, where it is not the whole block'),
        boxMm: number,
        cureDays: z.number(),
        soakDays: z.number(),
        formedAt: time.nullable(),
        soakedAt: time.nullable(),
        finishedAt: time.nullable(),
        note: z.string(),
        dryMpa: strengths,
        wetMpa: strengths,
        wetOverDry: number,
        densityKgM3: number,
        shrinksPct: number.describe('on average'),
        says: z.string().nullable(),
        chance: number.describe('that the mean holds what is asked'),
        pieces: z.array(
          z.object({
            no: z.number(),
            soaked: z.boolean(),
            at: time.nullable().describe('null where it has told nothing yet'),
            drop: z.enum(DROPS).nullable(),
            lengthMm: number,
            cracked: z.boolean().nullable(),
            sidesMm: z.array(z.number()).nullable(),
            massG: number,
            wetMassG: number,
            look: z.enum(SOAK_LOOKS).nullable(),
            gaugeMpa: number,
            strengthMpa: number,
            strengthPsi: number,
            simulated: z.boolean(),
            note: z.string()
          })
        )
      })
    )
  })
  .describe('Sets of trial pieces, the oldest first.');

const shortly = (o: { count: number; mean: number; lowest: number; highest: number } | undefined) =>
  o ? { count: o.count, mean: o.mean, lowest: o.lowest, highest: o.highest } : null;

export function trialsToJson(views: readonly TrialView[]): z.infer<typeof trialsDocument> {
  return {
    trials: views.map(({ trial, tells, pieces }) => ({
      id: trial.id,
      code: trial.code,
      kind: trial.kind,
      sampleId: trial.sampleId,
      sample: trial.sampleName,
      mix: trial.mix,
      binder: trial.binder,
      binderPct: trial.binderPct,
      waterPct: trial.waterPct,
      formedAtMpa: trial.pressure?.mpa ?? null,
      pistonMm: trial.piston?.mm ?? null,
      areaMm2: trial.areaMm2,
      boxMm: trial.box?.mm ?? null,
      cureDays: trial.cureDays,
      soakDays: trial.soakDays,
      formedAt: isoOrNull(trial.formedAt),
      soakedAt: isoOrNull(trial.soakedAt),
      finishedAt: isoOrNull(trial.finishedAt),
      note: trial.note,
      dryMpa: shortly(tells.dry),
      wetMpa: shortly(tells.wet),
      wetOverDry: tells.ratio ?? null,
      densityKgM3: tells.densityKgM3 ?? null,
      shrinksPct: tells.shrinks?.mean ?? null,
      says: tells.says?.kind ?? null,
      chance: tells.says?.chance ?? null,
      pieces: pieces.map(({ no, soaked, record, tells: one }) => ({
        no,
        soaked,
        at: isoOrNull(record?.at ?? null),
        drop: record?.seen.drop ?? null,
        lengthMm: record?.seen.length?.mm ?? null,
        cracked: record?.seen.cracked ?? null,
        sidesMm: record?.seen.sides?.map((side) => side.mm) ?? null,
        massG: record?.seen.massG ?? null,
        wetMassG: record?.seen.wetMassG ?? null,
        look: record?.seen.look ?? null,
        gaugeMpa: record?.seen.gauge?.mpa ?? null,
        strengthMpa: one?.strengthMpa ?? null,
        strengthPsi: one?.strengthMpa === undefined ? null : one.strengthMpa / MPA_PER.psi,
        simulated: record?.simulated ?? false,
        note: record?.note ?? ''
      }))
    }))
  };
}

const COLUMNS = [
  ...['code', 'kind', 'sample', 'mix', 'binder', 'binder_pct', 'water_pct', 'formed_at_mpa', 'cure_days'],
  ...['soak_days', 'formed_utc', 'soaked_utc', 'piece', 'soaked', 'drop', 'length_mm', 'cracked', 'sides_mm'],
  ...['mass_g', 'wet_mass_g', 'look', 'gauge_mpa', 'piston_mm', 'strength_mpa', 'strength_psi'],
  ...['simulated', 'piece_note', 'says', 'chance_pct', 'note', 'id']
];

/** One line a piece. */
export function trialsToCsv(views: readonly TrialView[]): string {
  const rows = trialsToJson(views).trials.flatMap((trial) =>
    trial.pieces.map((piece) => ({
      code: trial.code,
      kind: trial.kind,
      sample: trial.sample,
      mix: trial.mix,
      binder: trial.binder,
      binder_pct: trial.binderPct,
      water_pct: trial.waterPct ?? '',
      formed_at_mpa: trial.formedAtMpa?.toFixed(2) ?? '',
      cure_days: trial.cureDays,
      soak_days: trial.soakDays,
      formed_utc: trial.formedAt ?? '',
      soaked_utc: trial.soakedAt ?? '',
      piece: piece.no,
      soaked: piece.soaked ? 'yes' : 'no',
      drop: piece.drop ?? '',
      length_mm: piece.lengthMm ?? '',
      cracked: piece.cracked === null ? '' : piece.cracked ? 'yes' : 'no',
      sides_mm: piece.sidesMm?.join(' x ') ?? '',
      mass_g: piece.massG ?? '',
      wet_mass_g: piece.wetMassG ?? '',
      look: piece.look ?? '',
      gauge_mpa: piece.gaugeMpa?.toFixed(2) ?? '',
      piston_mm: trial.pistonMm ?? '',
      strength_mpa: piece.strengthMpa?.toFixed(2) ?? '',
      strength_psi: piece.strengthPsi?.toFixed(0) ?? '',
      simulated: piece.simulated ? 'yes' : 'no',
      piece_note: piece.note,
      says: trial.says ?? '',
      chance_pct: trial.chance === null ? '' : (100 * trial.chance).toFixed(1),
      note: trial.note,
      id: trial.id
    }))
  );
  return csvFile(rows, COLUMNS);
}

export const foldersDocument = z
  .object({
    folders: z.array(
      z.object({
        id: z.string(),
        name: z.string(),
        sender: z.string(),
        receivedOn: z.iso.date().nullable(),
        note: z.string(),
        soils: z.array(
          z.object({ sampleId: z.string(), theirs: z.string().describe('what its sender calls it') })
        )
      })
    )
  })
  .describe('Folders of soils that somebody else sent, the newest first.');

export const foldersToJson = (all: readonly FolderRecord[]): z.infer<typeof foldersDocument> => ({
  folders: all.map(({ createdAt: _, items, ...one }) => ({ ...one, soils: items }))
});
