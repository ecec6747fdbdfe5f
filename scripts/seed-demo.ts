import { seedDemo } from '../demo/seed.ts';
import { openStore } from '../src/lib/server/db.ts';
import { bringUpToDate } from '../src/lib/server/migrate.ts';

const url = process.env.DATABASE_URL;
if (!url) throw new Error('Set DATABASE_URL to the file the demo is to live in.');
const now = Date.now();
const store = await openStore(url);
await bringUpToDate(store, process.cwd(), now);
await seedDemo(store, now);
store.close();
