import { openStore } from '../../src/lib/server/db.ts';
import { bringUpToDate } from '../../src/lib/server/migrate.ts';
import { attack } from './hostile.ts';

/** Attacks a database that nobody serves: its address, how many commands, the seed. */
const [, , url, count, seed] = process.argv;
const store = await openStore(url);
await bringUpToDate(store, process.cwd(), Date.now());
// Hours pass between two commands; it ends now.
const now = Date.now() - 40 * 86_400_000;
const { faults } = await attack(store, { seed: Number(seed), count: Number(count), now });
store.close();
if (faults.length > 0) throw new Error(`${faults.length} commands were neither done nor refused.`);
