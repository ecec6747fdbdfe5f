import { join } from 'node:path';
import { openStore } from '../src/lib/server/db.ts';
import { backupTo } from '../src/lib/server/migrate.ts';

const url = process.env.DATABASE_URL ?? 'file:data/tivrel.db';
const stamp = new Date().toISOString().replace(/[:.]/g, '-');
const target = process.argv[2] ?? join('data', 'backups', `tivrel-${stamp}.db`);
const store = await openStore(url);
await backupTo(store, target);
store.close();
console.log(`Backed up to ${target}`);
