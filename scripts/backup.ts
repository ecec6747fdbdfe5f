import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { backupTo } from '../src/lib/server/backup.ts';
import { openStore } from '../src/lib/server/db.ts';
import { operated } from './operated.ts';

const url = process.env.DATABASE_URL ?? 'file:data/tivrel.db';
const stamp = new Date().toISOString().replace(/[:.]/g, '-');
const target = process.argv[2] ?? join('data', 'backups', `tivrel-${stamp}.db`);

await operated(async () => {
  const file = url.replace(/^file:/, '');
  if (url.startsWith('file:') && !existsSync(file)) return `There is no database at ${file} yet.`;
  const store = await openStore(url);
  try {
    const { rows } = await backupTo(store, target);
    console.log(`Backed up to ${target}: ${rows.test ?? 0} tests, ${rows.sample ?? 0} samples, checked.`);
  } finally {
    store.close();
  }
});
