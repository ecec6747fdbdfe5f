/**
 * What is being entered, kept in this browser until it is saved, so that a reload loses nothing.
 * Storage may be refused or full: entry then goes on without it.
 */
export function readDraft(key: string): unknown {
  try {
    const text = localStorage.getItem(`tivrel:draft:${key}`);
    return text ? JSON.parse(text) : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(`tivrel:draft:${key}`, JSON.stringify(value));
  } catch {
    // No room or not allowed: the entry stays on the page.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(`tivrel:draft:${key}`);
  } catch {
    // Nothing was kept.
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Plain values by name, and such within them: what an entry without fields of its own may hold. */
function plain(kept: Record<string, unknown>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(kept).flatMap(([name, value]): [string, unknown][] =>
      ['string', 'number', 'boolean'].includes(typeof value)
        ? [[name, value]]
        : isRecord(value)
          ? [[name, plain(value)]]
          : []
    )
  );
}

/**
 * What of a kept draft fits the form as it is today: an earlier version, or another program, may have written anything.
 * A field whose kind is another is left as the form has it. A field of the form that holds nothing takes what was kept; a
 * form without fields of its own, as texts by number, takes plain values.
 *
 * @param form the form as it stands, before anything was entered
 */
export function fitted<T>(kept: unknown, form: T): T {
  if (form === null || form === undefined) return (kept ?? form) as T;
  if (!isRecord(form)) {
    return (typeof kept === typeof form && Array.isArray(kept) === Array.isArray(form) ? kept : form) as T;
  }
  if (!isRecord(kept)) return form;
  const named = Object.keys(form);
  if (named.length === 0) return plain(kept) as T;
  return Object.fromEntries(
    named.map((name) => [name, name in kept ? fitted(kept[name], form[name]) : form[name]])
  ) as T;
}
