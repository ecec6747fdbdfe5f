import { mkdirSync, renameSync } from 'node:fs';
import { dirname } from 'node:path';
import { inOneFile } from '../src/lib/server/backup.ts';
import { operated } from './operated.ts';

/** Moves a database aside, with all that still stands in its write-ahead file. */
const [file, aside] = process.argv.slice(2);

await operated(async () => {
  await inOneFile(file);
  mkdirSync(dirname(aside), { recursive: true });
  renameSync(file, aside);
});
