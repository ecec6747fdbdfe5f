import { tinykeys } from 'tinykeys';

/** What the keys do; each is given by the layout. */
export type KeyActions = {
  next(): void;
  pick(index: number): void;
  mark(): void;
  setDown(): void;
  read(): void;
  triangle(): void;
  find(): void;
  help(): void;
};

/** Whether somebody is typing, or a sheet is open: keys then belong to it. One that is closing has the focus still, and no keys. */
function busy(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  if (!target) return false;
  return (
    target.isContentEditable ||
    /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) ||
    document.querySelector('[role="dialog"][data-state="open"]') !== null
  );
}

/** Listens for the keys of the help sheet; none fires while typing. Returns how to stop. */
export function startKeys(actions: KeyActions): () => void {
  const quietly = (act: () => void) => (event: KeyboardEvent) => {
    if (busy(event) || event.repeat) return;
    event.preventDefault();
    act();
  };
  const numbers = Object.fromEntries(
    Array.from({ length: 9 }, (_, i) => [String(i + 1), quietly(() => actions.pick(i))])
  );
  return tinykeys(window, {
    ...numbers,
    n: quietly(actions.next),
    m: quietly(actions.mark),
    s: quietly(actions.setDown),
    r: quietly(actions.read),
    t: quietly(actions.triangle),
    '/': quietly(actions.find),
    'Shift+?': quietly(actions.help),
    '?': quietly(actions.help)
  });
}
