import { randomInt } from 'node:crypto';

/** Letters that nobody takes for another, as somebody reads them out. */
const LETTERS = 'ABCDEFGHJKMNPRSTUVWXYZ23456789';

/** A code to be read out. */
export const spokenCode = (letters: number): string =>
  Array.from({ length: letters }, () => LETTERS[randomInt(LETTERS.length)]).join('');

/** A spoken code as somebody types it, in the form in which it is kept. */
export const codeAsKept = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
