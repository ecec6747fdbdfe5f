import { randomUUID } from 'node:crypto';
import type { Store } from './db.ts';

/** Something changed; open windows look again. */
export type News = { what: string; testId: string | null };

const listeners = new Set<(news: News) => void>();

/** This start of the server, so that no window takes an old number for a new one. */
const start = randomUUID().slice(0, 8);
let count = 0;

/**
 * The latest news, as an id. A page carries the id from before it was read: where the stream then names another,
 * something was missed in between. Ids are compared for being the same, nothing else.
 */
export function latestNews(): string {
  return `${start}-${count}`;
}

/** Events that this server wrote itself, and told of when it did. */
const own = new Set<string>();
/** So many are remembered: more than are written between two looks. */
const OWN_MOST = 5000;

/** Tells every open window. @param eventId of what was written, so that it is not told again as somebody else's */
export function announce(news: News, eventId?: string): void {
  if (own.size > OWN_MOST) own.clear();
  if (eventId) own.add(eventId);
  count++;
  for (const listener of listeners) listener(news);
}

/** Whoever has so much left unread does not read: it is let go, and finds out what it missed when it comes back. */
const UNREAD_MOST = 200;

/**
 * A server-sent stream of news for one window; ends with the request. It opens with the event `latest`, which only
 * names the latest news; each message after that carries its own id. It ends with the session that it was opened by: that is looked
 * at whenever something is done with people, and with every beat.
 */
export function newsStream(signal: AbortSignal, stillIn = async () => true): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => {
        if ((controller.desiredSize ?? 0) > -UNREAD_MOST) return controller.enqueue(encoder.encode(text));
        end();
      };
      const end = () => {
        stop();
        controller.close();
      };
      /** A look that fails, as on a locked file, says nothing. */
      const ifIn = (then: () => void) =>
        void stillIn()
          .catch(() => true)
          .then((is) => (signal.aborted || !listeners.has(listener) ? undefined : is ? then() : end()));
      const listener = (news: News) => {
        const tell = () => send(`id: ${latestNews()}\ndata: ${JSON.stringify(news)}\n\n`);
        if (news.what.startsWith('person.')) ifIn(tell);
        else tell();
      };
      const beat = setInterval(() => ifIn(() => send(': still here\n\n')), 20_000);
      stop = () => {
        listeners.delete(listener);
        clearInterval(beat);
      };
      listeners.add(listener);
      send(`retry: 1000\nid: ${latestNews()}\nevent: latest\ndata: {}\n\n`);
      signal.addEventListener('abort', stop, { once: true });
    },
    cancel: () => stop()
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
}

/** How often it is looked what other servers wrote, ms. */
const LOOK_MS = 400;
/** So much news is told one by one: of more a window learns by looking. */
const ONE_BY_ONE = 50;

/**
 * Tells of what other servers write into the same database: the events that are there since the last look.
 *
 * @returns what ends it
 */
export function hearOthers({ client }: Pick<Store, 'client'>): () => void {
  let last: number | undefined;
  let ended = false;
  const look = async () => {
    const newest = Number((await client.execute('select max(rowid) as row from event')).rows[0].row ?? 0);
    const before = last ?? newest;
    last ??= newest;
    if (newest === before) return;
    // Another bench was put in the place of the one that was there.
    if (newest < before) last = newest;
    if (newest < before) return announce({ what: 'bench.restore', testId: null });
    const { rows } = await client.execute({
      sql: 'select id, what, test_id as testId from event where rowid > ? and rowid <= ? order by rowid limit ?',
      args: [before, newest, ONE_BY_ONE]
    });
    // Only what was read is heard: a look that fails is made once more, from where the last one ended.
    last = newest;
    for (const { id, what, testId } of rows)
      if (!own.delete(String(id)))
        announce({ what: String(what), testId: testId === null ? null : String(testId) });
  };
  const next = () => {
    // While the database does not answer nobody writes to it either.
    void look()
      .catch(() => {})
      .finally(() => !ended && setTimeout(next, LOOK_MS).unref());
  };
  next();
  return () => (ended = true);
}
