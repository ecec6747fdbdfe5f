import { invalidate } from '$app/navigation';
import { navigating } from '$app/state';
import { t } from '../words/index.ts';

/** The key every load depends on; news from the server makes the pages look again. */
const DATA_KEY = 'tivrel:data';

/** Whether the server is there: a page that is asked for where nobody answers is lost to the browser's own. */
export const isAnswering = (): Promise<boolean> =>
  fetch('/api/v1/health').then(
    () => true,
    () => false
  );

/** Ends when no page change is under way. */
async function pageChange(): Promise<void> {
  let last: Promise<void> | null = null;
  while (navigating.complete && navigating.complete !== last) {
    last = navigating.complete;
    await last.catch(() => {});
  }
}

let looking: Promise<void> = Promise.resolve();
let asked: Promise<void> | undefined;

/**
 * Makes every page look at the server's data again, and ends when it shows them. Several calls in a row count as
 * one. Looks follow each other and wait for a page change: one that begins while another is under way would call it
 * off, and whoever waited for that one would go on before its news is on the page.
 *
 * @throws {Error} when the server does not answer; the page stands as it stood
 */
export function lookAgain(): Promise<void> {
  if (asked) return asked;
  const look = async () => {
    await looking.catch(() => {});
    // After the turn of whoever waited for that look: a page change begins there and must be seen here.
    await new Promise((resolve) => setTimeout(resolve, 15));
    const answered = await isAnswering();
    await pageChange();
    [looking, asked] = [asked ?? looking, undefined];
    if (!answered) throw new Error(t.outbox.unreachable);
    await untilLost();
    // A page change that called this look off brings the data itself.
    await pageChange();
  };
  asked = look();
  return asked;
}

/**
 * One look. The framework loads the whole page anew when the server dies under it, and what was typed would go with
 * that page: so an answer that never came, or came in half, is kept from the framework, and the look is given up.
 */
async function untilLost(): Promise<void> {
  const plain = window.fetch;
  const lost = new Promise<never>((_, reject) => {
    window.fetch = async (input, init) => {
      if (!isDataOfThisPage(input)) return plain(input, init);
      try {
        const response = await plain(input, init);
        if (response.status < 500) {
          const { status, headers } = response;
          return new Response(await response.text(), { status, headers });
        }
      } catch {
        // As good as an answer of a server that fails.
      }
      reject(new Error(t.outbox.unreachable));
      return new Promise<never>(() => {});
    };
  });
  try {
    await Promise.race([invalidate(DATA_KEY), lost]);
  } finally {
    window.fetch = plain;
  }
}

/** Whether a request is for the data of the page that is shown, and not for those of a link that was touched. */
function isDataOfThisPage(input: RequestInfo | URL): boolean {
  const { pathname } = new URL(input instanceof Request ? input.url : input, location.href);
  return pathname === `${location.pathname.replace(/\/$/, '')}/__data.json`;
}
