import { createClient } from '@libsql/client';
import { backupTo, BackupProblem, type Copy } from '../backup.ts';
import { answering } from './answering.ts';

/** What is to be copied where. */
export type CopyAsked = { file: string; target: string; root: string };

/** Copies a database beside the server: what the copy holds, or the sentence of what stood in the way. */
answering(async ({ file, target, root }: CopyAsked): Promise<Copy | { problem: string }> => {
  const client = createClient({ url: `file:${file}` });
  try {
    return await backupTo({ client, file }, target, root);
  } catch (problem) {
    if (problem instanceof BackupProblem) return { problem: problem.message };
    throw problem;
  } finally {
    client.close();
  }
});
