import { flush, lookAgain } from './outbox.svelte';

/** Who holds this lock listens to the server for every window of the browser. */
const LEADER = 'tivrel-news';

/**
 * Listens to the server's news, so that every open window shows the same bench. A browser allows few connections to one
 * server, and a stream holds one for good: one window listens, and tells the others; when it closes, the next takes over.
 * Where the browser has no locks (an address without https that is not this machine), each window listens for itself.
 *
 * @returns how to stop
 */
export function startLive(): () => void {
  const others = new BroadcastChannel(LEADER);
  others.onmessage = look;
  const left = new AbortController();
  const lead = () =>
    new Promise<void>((done) => {
      const stop = listen(() => others.postMessage(null));
      left.signal.addEventListener('abort', () => {
        stop();
        done();
      });
    });
  if (navigator.locks) {
    // Called off before its turn it has nothing to stop.
    navigator.locks.request(LEADER, { signal: left.signal }, lead).catch(() => {});
  } else void lead();
  return () => {
    left.abort();
    others.close();
  };
}

function look(): void {
  void lookAgain().catch(() => {});
  void flush();
}

/** Opens the stream; news goes to this window and by `tell` to the others. */
function listen(tell: () => void): () => void {
  const source = new EventSource('/api/v1/stream');
  let opened = false;
  source.onopen = () => {
    void flush();
    // After a gap anything may have happened.
    if (opened) {
      look();
      tell();
    }
    opened = true;
  };
  source.onmessage = () => {
    look();
    tell();
  };
  return () => source.close();
}
