/** English for saving a drawing as a file. */
export const saving = {
  svg: 'Save as SVG',
  png: 'Save as PNG',
  saved: (name: string) => `Saved: ${name}`,
  failed: 'This browser could not make the picture. Try the other kind.',
  source: (what: string, day: string) => `${what}. Tivrel, ${day}.`
};
