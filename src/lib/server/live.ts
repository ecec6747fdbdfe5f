/** Something changed; open windows look again. */
export type News = { what: string; testId: string | null };

const listeners = new Set<(news: News) => void>();

/** Tells every open window. */
export function announce(news: News): void {
  for (const listener of listeners) listener(news);
}

/** A server-sent stream of news for one window; ends with the request. */
export function newsStream(signal: AbortSignal): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => controller.enqueue(encoder.encode(text));
      const listener = (news: News) => send(`data: ${JSON.stringify(news)}\n\n`);
      const beat = setInterval(() => send(': still here\n\n'), 20_000);
      stop = () => {
        listeners.delete(listener);
        clearInterval(beat);
      };
      listeners.add(listener);
      send('retry: 1000\n: open\n\n');
      signal.addEventListener('abort', stop, { once: true });
    },
    cancel: () => stop()
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
}
