import { config } from './config.ts';
import { serverNow } from './clock.ts';
import { openStore, requireAlone, type Store } from './db.ts';
import { bringUpToDate } from './migrate.ts';
import { sweepFiles } from './photos.ts';

let opening: Promise<Store> | undefined;

/** The database of this process, opened and brought up to date on first use. */
export function store(): Promise<Store> {
  opening ??= (async () => {
    const { databaseUrl, databaseToken, root } = config();
    const opened = await openStore(databaseUrl, databaseToken);
    await requireAlone(opened);
    await bringUpToDate(opened, root, serverNow());
    await sweepFiles(opened, serverNow());
    return opened;
  })();
  return opening;
}
