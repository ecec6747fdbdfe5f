/** Letters that are mistaken for figures on tape. */
const UNFIT = new Set(['I', 'O', 'Q', 'Z']);

/** The letters of a name that are fit for tape, in capitals, the first of each word first. */
function fitLetters(name: string): string[] {
  const words =
    name
      .normalize('NFD')
      .toUpperCase()
      .match(/[A-Z]+/g) ?? [];
  const letters = [...words.map((w) => w[0]), ...words.join('')];
  return letters.filter((l) => !UNFIT.has(l));
}

/**
 * A code for a new sample: the letters it is to begin with, and the next free number for them.
 *
 * @param begin the letters of its area, or undefined: then the first fit letter of its name
 * @example nextCode('Kitchen bed', ['K1', 'B4']) // 'K2'
 */
export const nextCode = (name: string, taken: readonly string[], begin?: string): string =>
  codeGiver(taken)(name, begin);

/** Gives codes to one new sample after the other, as {@link nextCode} does to one. */
export function codeGiver(taken: readonly string[]): (name: string, begin?: string) => string {
  const highest = new Map<string, number>();
  for (const code of taken) {
    const [, letters, no] = /^(\D*)(\d+)$/.exec(code) ?? [];
    if (letters !== undefined) highest.set(letters, Math.max(highest.get(letters) ?? 0, Number(no)));
  }
  return (name, begin) => {
    const letters = begin ?? fitLetters(name)[0] ?? 'S';
    const no = (highest.get(letters) ?? 0) + 1;
    highest.set(letters, no);
    return `${letters}${no}`;
  };
}

/**
 * Letters for a new area, one or two, that no other area has.
 * @example nextAreaCode('North bed', ['N']) // 'NB'
 */
export function nextAreaCode(name: string, taken: readonly string[]): string {
  const letters = fitLetters(name);
  const first = letters[0] ?? 'S';
  const tried = [first, ...letters.slice(1).map((l) => first + l)];
  return tried.find((code) => !taken.includes(code)) ?? counted(first, taken);
}

const ALPHABET = 'ABCDEFGHJKLMNPRSTUVWXY';

/** Letters counted up behind the first, until they are free. */
function counted(first: string, taken: readonly string[]): string {
  for (let i = 0; ; i++) {
    let code = '';
    for (let n = i; n >= 0; n = Math.floor(n / ALPHABET.length) - 1)
      code = ALPHABET[n % ALPHABET.length] + code;
    if (!taken.includes(first + code)) return first + code;
  }
}
