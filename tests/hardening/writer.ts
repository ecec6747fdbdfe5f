import { writeSync } from 'node:fs';
import { ulid } from 'ulid';
import { runCommand } from '../../src/lib/server/commands.ts';
import { openStore } from '../../src/lib/server/db.ts';
import { bringUpToDate } from '../../src/lib/server/migrate.ts';

/** Writes samples into a database for ever, and tells of each once it is acknowledged; it is there to be killed. */
const [url] = process.argv.slice(2);
const store = await openStore(url);
await bringUpToDate(store, process.cwd(), Date.now());
const tell = (line: string) => writeSync(1, `${line}\n`);
tell('ready');
for (;;) {
  const sampleId = ulid();
  const payload = { sampleId, name: 'Written under attack', purpose: 'garden' as const };
  const body = { commandId: ulid(), at: Date.now(), payload };
  await runCommand(store, 'sample.add', body, 'writer', Date.now());
  tell(sampleId);
  // Every other one is sent twice, as by a device that did not hear the answer.
  if (Math.random() < 0.5) await runCommand(store, 'sample.add', body, 'writer', Date.now());
}
