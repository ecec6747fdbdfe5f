import { unpackArchive, unpackCopy, upToDate, writeArchive, type ToRestore } from '../archive.ts';
import { BackupProblem } from '../backup.ts';
import { ArchiveProblem } from '../../formats/archive/problem.ts';
import { answering } from './answering.ts';

/** An archive that is to be written, or unpacked, or a copy that is to be put back. */
export type ArchiveQuestion =
  | { kind: 'write'; from: { url: string; token?: string }; target: string; root: string; now: number }
  | { kind: 'unpack' | 'copy'; file: string; target: string; root: string; now: number };
export type ArchiveAnswer = { found: ToRestore } | { problem: string };

/** Writes and unpacks archives beside the server. */
answering(async (asked: ArchiveQuestion, told): Promise<ArchiveAnswer> => {
  const { target, root, now } = asked;
  try {
    if (asked.kind === 'write') {
      const { madeAt, rows, pictures } = await writeArchive(asked.from, target, { root, now, told });
      return { found: { madeAt, rows, pictures } };
    }
    const unpack = asked.kind === 'unpack' ? unpackArchive : unpackCopy;
    const found = await unpack(asked.file, target, root);
    await upToDate(target, root, { now, from: asked.kind === 'unpack' ? 'archive' : 'copy' });
    return { found };
  } catch (problem) {
    if (problem instanceof ArchiveProblem || problem instanceof BackupProblem)
      return { problem: problem.message };
    throw problem;
  }
});
