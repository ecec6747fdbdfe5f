/** A verdict that stands within these chances is open; further from even it is settled. */
export const OPEN = { from: 0.2, to: 0.8 };

/** Under this a verdict is told from its other side. */
export const EVEN = 0.5;

/** Whether a chance leaves a verdict open. */
export const isOpen = (chance: number): boolean => chance >= OPEN.from && chance <= OPEN.to;
