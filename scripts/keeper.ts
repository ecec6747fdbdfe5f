import { openStore } from '../src/lib/server/db.ts';
import { invitePerson } from '../src/lib/server/people.ts';
import { operated } from './operated.ts';

const url = process.env.DATABASE_URL ?? 'file:data/tivrel.db';

/** A way in for a keeper where none has a passphrase any more. */
await operated(async () => {
  const store = await openStore(url, process.env.DATABASE_TOKEN);
  try {
    const code = await invitePerson(store, 'keeper', { who: 'operator', now: Date.now() });
    console.log(`An invitation as keeper, good for a week and for one person: ${code}`);
    console.log('It is typed at /join on the bench.');
  } finally {
    store.close();
  }
});
