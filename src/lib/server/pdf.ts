import type { LabelSheet } from '../formats/labels.ts';
import type { SampleLabel } from '../formats/labels-pdf.ts';
import type { Paper } from '../formats/work-pdf.ts';
import type { WorkSheet } from '../workbench/working/types.ts';
import { Thread } from './thread.ts';

/** A sheet that is to be made: labels, or the working of a test. */
export type PdfAsked =
  | { kind: 'labels'; labels: readonly SampleLabel[]; on: LabelSheet; skip: number }
  | { kind: 'work'; sheet: WorkSheet; paper: Paper };

const thread = new Thread<PdfAsked, Uint8Array<ArrayBuffer>>('pdf');

/** How far sheets are that are being made and watched, 0 to 1, by the name that whoever waits gave them. */
const underWay = new Map<string, number>();

/** How far a sheet is, 0 to 1; undefined for what is not being made. */
export const shareMade = (watch: string): number | undefined => underWay.get(watch);

/**
 * A sheet as a PDF, for a browser to show; made beside the server, and no further once the browser has gone.
 *
 * @param name of the file
 * @param o.watch by which it can be asked how far it is
 */
export async function pdfAnswer(
  asked: PdfAsked,
  name: string,
  { signal, watch }: { signal: AbortSignal; watch?: string }
): Promise<Response> {
  if (watch) underWay.set(watch, 0);
  const told = (share: number) => watch && underWay.set(watch, share);
  const made = await thread
    .ask(asked, { signal, told })
    .catch((problem: unknown) => {
      if (!signal.aborted) throw problem;
      return null;
    })
    .finally(() => watch && underWay.delete(watch));
  // Nobody reads this answer.
  if (made === null) return new Response(null, { status: 499 });
  return new Response(made, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
  });
}
