import { join } from 'node:path';
import { restoreFrom } from '../src/lib/server/backup.ts';
import { operated } from './operated.ts';

const [backup, file] = process.argv.slice(2);
const stamp = new Date().toISOString().replace(/[:.]/g, '-');

await operated(async () => {
  const aside = join('data', 'backups', `before-restore-${stamp}.db`);
  const kept = await restoreFrom(backup, file, { root: process.env.TIVREL_ROOT ?? process.cwd(), aside });
  console.log(`Restored ${backup}.${kept ? ` What was there is kept at ${kept}.` : ''}`);
});
