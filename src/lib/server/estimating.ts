import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { known, type EstimateInput, type JarAnswer } from '../core/index.ts';

/** `refused` where it is the evidence that allows no answer; any other problem is a fault. */
type Reply = { id: number; answer?: JarAnswer; refused?: boolean; problem?: string };

/** How deep below the server's own folder the build may lay a file. */
const DEEPEST = 8;
/** The thread as it is written; as the build lays it, in a folder over that of the file it is asked from. */
const PLACES = [
  './threads/estimate.thread.ts',
  ...Array.from({ length: DEEPEST }, (_, up) => `${'../'.repeat(up + 1)}threads/estimate.thread.js`)
];

let thread: Worker | undefined;
let lastId = 0;
const waiting = new Map<number, (reply: Reply) => void>();

/** As it is written it needs what reads TypeScript to be there first. */
const threadAt = (url: URL) =>
  url.pathname.endsWith('.ts')
    ? new Worker(
        `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(url.href)})))`,
        {
          eval: true
        }
      )
    : new Worker(url);

/** One thread for the whole server, begun when it is first needed; it does not keep the server from ending. */
function theThread(): Worker {
  if (thread) return thread;
  const found = PLACES.map((place) => new URL(place, import.meta.url)).find((url) => existsSync(url));
  const begun = threadAt(known(found, 'the build lays the thread beside the server'));
  begun.unref();
  begun.on('message', (reply: Reply) => {
    waiting.get(reply.id)?.(reply);
    waiting.delete(reply.id);
    if (waiting.size === 0) begun.unref();
  });
  // A thread that fails leaves nobody waiting; the next estimate begins another.
  begun.on('error', (problem) => {
    thread = undefined;
    for (const [id, answer] of waiting) answer({ id, problem: problem.message });
    waiting.clear();
  });
  return (thread = begun);
}

/**
 * Estimates a jar in a thread of its own: the event loop goes on.
 * @returns the answer as it is kept; undefined where what was read allows none
 */
export async function estimateBeside(input: EstimateInput): Promise<JarAnswer | undefined> {
  const worker = theThread();
  worker.ref();
  const id = ++lastId;
  const reply = await new Promise<Reply>((resolve) => {
    waiting.set(id, resolve);
    worker.postMessage({ id, input });
  });
  if (!reply.answer && !reply.refused) throw new Error(`No estimate: ${reply.problem ?? 'the thread ended'}`);
  return reply.answer;
}
