import { createRequire } from 'node:module';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const at = createRequire(import.meta.url);
const face = (weight: number) =>
  at.resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`
  );
const signs = (name: string) => at.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`);

/** Loaded with the first sheet: the server starts without it. */
let loading: Promise<typeof import('pdfmake')> | undefined;
const writer = () => (loading ??= load());

async function load() {
  const { default: pdfmake } = await import('pdfmake');
  const text = { normal: face(400), bold: face(700) };
  const formula = { normal: signs('DejaVuSans'), bold: signs('DejaVuSans-Bold') };
  const known = new Set([...Object.values(text), ...Object.values(formula)]);
  pdfmake.setFonts({ Text: text, Signs: formula });
  // Nothing is fetched, and nothing is read but the faces.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path: string) => known.has(path));
  return pdfmake;
}

/** Characters that the text face has; Greek letters, roots and small figures come from another. */
const OWN = ' -~\\u00a0-\\u00b4\\u00b6-\\u00ff\\u2013\\u2014\\u2018\\u2019\\u201c\\u201d\\u2026\\u2212';
const RUNS = new RegExp(`[${OWN}]+|[^${OWN}]+`, 'g');
const IS_OWN = new RegExp(`^[${OWN}]`);

/** Text in which each character has a face that can draw it; `whole` text is never broken over two lines. */
export function inFaces(text: string, whole = false): Content {
  // Between two faces a line may still break at a space.
  return (text.match(RUNS) ?? []).map((run) => ({
    text: whole ? run.replaceAll(' ', '\u00a0') : run,
    noWrap: whole,
    ...(IS_OWN.test(run) ? {} : { font: 'Signs' })
  }));
}

/**
 * Bytes of a document in the faces of the product; one is made at a time.
 *
 * @param told how much of it is drawn, 0 to 1
 */
export async function pdfBytes(
  definition: TDocumentDefinitions,
  told?: (share: number) => void
): Promise<Uint8Array<ArrayBuffer>> {
  const pdfmake = await writer();
  pdfmake.setProgressCallback(told ?? (() => {}));
  return new Uint8Array(
    await pdfmake
      .createPdf({
        ...definition,
        defaultStyle: { font: 'Text', ...definition.defaultStyle },
        info: { producer: 'Tivrel', creator: 'Tivrel', ...definition.info }
      })
      .getBuffer()
  );
}
