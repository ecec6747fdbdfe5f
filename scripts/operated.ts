import { BackupProblem } from '../src/lib/server/backup.ts';

/** Does what the operator asked for; a problem is one sentence and an exit code. @param work may answer with such a sentence */
export async function operated(work: () => Promise<string | void>): Promise<void> {
  try {
    const problem = await work();
    if (!problem) return;
    console.error(`tivrel: ${problem}`);
  } catch (problem) {
    if (!(problem instanceof BackupProblem)) throw problem;
    console.error(`tivrel: ${problem.message}`);
  }
  process.exitCode = 1;
}
