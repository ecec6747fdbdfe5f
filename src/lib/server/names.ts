import unhomoglyph from 'unhomoglyph';

/** A name, such that two that are written alike but for capitals and widths are one. */
export const nameKey = (name: string): string => name.normalize('NFKC').trim().toLowerCase();

/** What is seen of a name: without what takes no room, and with the plainest of all letters that look alike. */
const seenOf = (name: string): string =>
  unhomoglyph(name.normalize('NFKC').replace(/\p{Default_Ignorable_Code_Point}/gu, ''))
    .replace(/\s+/g, ' ')
    .trim();

/**
 * Whether people would take two names for one: in capitals or not, with letters of other alphabets (Unicode TS 39, confusables) or
 * with what cannot be seen.
 */
export const looksLike = (a: string, b: string): boolean =>
  nameKey(a) === nameKey(b) || seenOf(a) === seenOf(b) || seenOf(a.toLowerCase()) === seenOf(b.toLowerCase());
