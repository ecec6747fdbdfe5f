import { leaveAside, sweepAside } from './aside.ts';
import { config } from './config.ts';
import { serverNow } from './clock.ts';
import { copiesOf } from './copies.ts';
import { openStore, requireAlone, type Store } from './db.ts';
import { takeBackLost } from './imports.ts';
import { hearOthers } from './live.ts';
import { bringUpToDate } from './migrate.ts';
import { freshen } from './outcomes.ts';
import { sweepFiles } from './photos.ts';

let opening: Promise<Store> | undefined;

/** The database of this process, opened and brought up to date on first use. */
export function store(): Promise<Store> {
  opening ??= (async () => {
    const { databaseUrl, databaseToken, root } = config();
    const opened = await openStore(databaseUrl, databaseToken);
    await requireAlone(opened);
    const copies = copiesOf(opened.file, root);
    sweepAside();
    copies?.sweep();
    process.once('exit', leaveAside);
    await bringUpToDate(opened, root, serverNow());
    await takeBackLost(opened);
    await freshen(opened, tell);
    await sweepFiles(opened, serverNow());
    copies?.keepMaking();
    // A database on a server is written by others too.
    if (!opened.file) hearOthers(opened);
    return opened;
  })();
  return opening;
}

/** After an upgrade every test is worked out anew, which takes a while where there are many. */
function tell(left: number): void {
  if (left > 0 && left % 2000 < 200) console.info(`Working out what came of ${left} tests.`);
}
