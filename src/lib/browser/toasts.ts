import { createToaster } from '@skeletonlabs/skeleton-svelte';

/** Short lines at the foot of the page; those that record something carry an undo for ten seconds. */
export const toaster = createToaster({
  placement: 'bottom',
  overlap: false,
  max: 4,
  // Clear of the large action under the thumb.
  offsets: { top: '1rem', right: '0.9rem', bottom: 'calc(6rem + var(--foot))', left: '0.9rem' }
});

/** How long undo stands, ms. */
const UNDO_MS = 10_000;

/** Says something in passing. */
export function say(title: string): void {
  toaster.create({ title, duration: 4000 });
}

/** Says what went wrong, for longer. */
export function sayProblem(title: string): void {
  toaster.create({ title, type: 'error', duration: 9000 });
}

/** Says what was recorded, with a way back. */
export function sayUndoable(title: string, undoLabel: string, undo: () => void): void {
  toaster.create({ title, duration: UNDO_MS, action: { label: undoLabel, onClick: undo } });
}
