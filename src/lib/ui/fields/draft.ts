/**
 * What is being entered, kept in this browser until it is saved, so that a reload loses nothing.
 * Storage may be refused or full: entry then goes on without it.
 */
export function readDraft<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(`tivrel:draft:${key}`);
    return text ? (JSON.parse(text) as T) : undefined;
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
