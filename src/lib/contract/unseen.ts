/** Control characters but for tab and line breaks, and halves of characters: no text that a person types holds them. */
const HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;
const isUnseen = (text: string): boolean => /[^\P{Cc}\t\n\r]/u.test(text) || HALF.test(text);

/** Where in something that came in a character stands that cannot be seen, as a path without `payload`; undefined where none does. */
export function unseenIn(value: unknown, path: readonly string[] = []): string | undefined {
  if (typeof value === 'string') {
    if (!isUnseen(value)) return undefined;
    return (path[0] === 'payload' ? path.slice(1) : path).join('.') || 'form';
  }
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const at = isUnseen(key) ? path.join('.') || 'form' : unseenIn(inner, [...path, key]);
    if (at) return at;
  }
  return undefined;
}
