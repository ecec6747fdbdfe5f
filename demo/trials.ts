import { ulid } from 'ulid';
import type { TypedSeen } from '../src/lib/contract/records/trial.ts';
import type { Play } from './seed.ts';
import { BLOCK_MM, BOX_MM, FOLDER, PISTON_MM, trials, type DemoTrial } from './scenario/trials.ts';
import { DAY, HOUR, MINUTE } from './scenario/times.ts';

const length = (mm: number) => ({ mm, text: `${mm} mm` });
const pressure = (mpa: number) => ({ mpa, text: `${mpa} MPa` });
const [long, wide, high] = BLOCK_MM;

function seenOf({ kind }: DemoTrial, piece: NonNullable<DemoTrial['pieces']>[number]): TypedSeen {
  const { gauge, lengthMm, note: _, ...seen } = piece;
  return {
    ...seen,
    ...(lengthMm === undefined ? {} : { length: length(lengthMm) }),
    ...(kind === 'block' ? { sides: [length(long), length(wide), length(high)] } : {}),
    ...(gauge === undefined ? {} : { gauge: pressure(gauge) })
  };
}

/** The folder of soils that somebody sent. */
export async function seedFolder(ids: ReadonlyMap<string, string>, now: number, play: Play): Promise<void> {
  const { items, agoS, ...fields } = FOLDER;
  await play('folder.add', agoS, {
    folderId: ulid(),
    ...fields,
    receivedOn: new Date(now - agoS * 1000).toISOString().slice(0, 10),
    items: items.map(({ sample, theirs }) => ({ sampleId: ids.get(sample)!, theirs }))
  });
}

/** Trial pieces, from the mixing to the last that was crushed. */
export async function seedTrials(ids: ReadonlyMap<string, string>, play: Play): Promise<void> {
  for (const demo of trials) {
    const { formedAgoS, cureDays = 0, soakDays = 0, soaked = 0, count } = demo;
    const trialId = ulid();
    const block = demo.kind === 'block';
    await play('trial.plan', formedAgoS + HOUR, {
      trialId,
      sampleId: ids.get(demo.sample)!,
      kind: demo.kind,
      mix: demo.mix,
      binder: demo.binder,
      binderPct: demo.binderPct,
      waterPct: demo.waterPct,
      pressure: demo.pressureMpa === undefined ? null : pressure(demo.pressureMpa),
      piston: block ? length(PISTON_MM) : null,
      box: demo.kind === 'box' ? length(BOX_MM) : null,
      count,
      soaked,
      cureDays,
      soakDays,
      note: demo.note
    });
    await play('trial.form', formedAgoS, { trialId });
    for (const key of demo.cared ?? [])
      await play('trial.care', formedAgoS - Number(key.split('-')[1]) * DAY, { trialId, key });
    if (!demo.pieces) continue;
    const crushedAgoS = formedAgoS - cureDays * DAY - HOUR;
    if (soaked > 0) await play('trial.soak', crushedAgoS + MINUTE, { trialId });
    const wetAgoS = crushedAgoS - (soaked > 0 ? soakDays * DAY : 0);
    for (const [i, piece] of demo.pieces.entries()) {
      const agoS = (i >= count - soaked ? wetAgoS : crushedAgoS) - i * 4 * MINUTE;
      const { note = '' } = piece;
      await play('piece.keep', agoS, {
        trialId,
        pieceId: ulid(),
        no: i + 1,
        seen: seenOf(demo, piece),
        note
      });
    }
    await play('trial.finish', wetAgoS - HOUR, { trialId });
  }
}
