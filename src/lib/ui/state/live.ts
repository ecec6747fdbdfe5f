import { flush, lookAgain } from './outbox.svelte';

/** Listens to the server's news, so that every open window shows the same bench. Returns how to stop. */
export function startLive(): () => void {
  const source = new EventSource('/api/v1/stream');
  let opened = false;
  source.onopen = () => {
    // After a gap anything may have happened.
    if (opened) void lookAgain().catch(() => {});
    opened = true;
    void flush();
  };
  source.onmessage = () => void lookAgain().catch(() => {});
  return () => source.close();
}
