import { lookAgain } from './look-again.ts';
import { flush } from './outbox.svelte.ts';

/** Who holds this lock listens to the server for every window of the browser. */
const LEADER = 'tivrel-news';

/** What windows say to each other: the latest news somebody heard of, or a question for it. */
type Word = { latest: string; what?: string } | { ask: true };

/** Work of a learner is news to the teacher alone, what a teacher does to the whole lesson; no other page is loaded anew for it. */
const CONCERNS: Record<string, RegExp> = {
  'lesson.work': /^\/practice\/lessons/,
  'lesson.change': /^\/(practice\/lessons|lesson)/
};

/** After so long a look that failed is made once more, ms. */
const AGAIN_MS = 3000;

/**
 * Listens to the server's news, so that every open window shows the same bench. A browser allows few connections to one
 * server, and a stream holds one for good: one window listens, and tells the others; when it closes, the next takes over.
 * Where the browser has no locks (an address without https that is not this machine), each window listens for itself.
 * What happened while nobody listened is not lost: a page knows the id of the last news it shows, and looks again when
 * the latest is another.
 *
 * @param shown the id of the latest news on this page
 * @returns how to stop
 */
export function startLive(shown: () => string): () => void {
  const others = new BroadcastChannel(LEADER);
  /** Of the window that listens, undefined on the others. */
  let latestNews: string | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  const look = (latest: string, what = '') => {
    if (latest === shown() || CONCERNS[what]?.test(location.pathname) === false) return;
    // A look that fails is made once more: news is not lost with it.
    lookAgain().catch(() => {
      clearTimeout(again);
      again = setTimeout(() => look(latest, what), AGAIN_MS);
    });
    void flush();
  };
  others.onmessage = ({ data }: MessageEvent<Word>) => {
    if ('latest' in data) look(data.latest, data.what);
    else if (latestNews !== undefined) others.postMessage({ latest: latestNews } satisfies Word);
  };
  // This page was read before it could listen.
  others.postMessage({ ask: true } satisfies Word);
  const left = new AbortController();
  const lead = () =>
    new Promise<void>((done) => {
      const stop = listen((latest, what) => {
        latestNews = latest;
        look(latest, what);
        others.postMessage({ latest, what } satisfies Word);
      });
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
    clearTimeout(again);
    left.abort();
    others.close();
  };
}

/** Opens the stream; `tell` gets the id of the latest news, at each opening and with each news, then with what it is of. */
function listen(tell: (latest: string, what?: string) => void): () => void {
  const source = new EventSource('/api/v1/stream');
  source.onopen = () => void flush();
  source.onmessage = (e) => tell(e.lastEventId, (JSON.parse(String(e.data)) as { what?: string }).what);
  source.addEventListener('latest', (e) => tell(e.lastEventId));
  return () => source.close();
}
