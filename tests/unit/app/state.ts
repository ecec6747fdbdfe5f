/** Stands in for the framework's state: a test says whether a page change is under way. */
export const navigating: { complete: Promise<void> | null } = { complete: null };
export const page = { data: { now: 0 } };
