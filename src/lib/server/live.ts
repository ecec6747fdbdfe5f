import { randomUUID } from 'node:crypto';

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

/** Tells every open window. */
export function announce(news: News): void {
  count++;
  for (const listener of listeners) listener(news);
}

/** Whoever has so much left unread does not read: it is let go, and finds out what it missed when it comes back. */
const UNREAD_MOST = 200;

/**
 * A server-sent stream of news for one window; ends with the request. It opens with the event `latest`, which only
 * names the latest news; each message after that carries its own id.
 */
export function newsStream(signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => {
        if ((controller.desiredSize ?? 0) > -UNREAD_MOST) return controller.enqueue(encoder.encode(text));
        stop();
        controller.close();
      };
      const listener = (news: News) => send(`id: ${latestNews()}\ndata: ${JSON.stringify(news)}\n\n`);
      const beat = setInterval(() => send(': still here\n\n'), 20_000);
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
