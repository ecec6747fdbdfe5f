import type { LabelSheet } from '../formats/labels.ts';
import type { SampleLabel } from '../formats/labels-pdf.ts';
import type { Paper } from '../formats/work-pdf.ts';
import type { Report } from '../workbench/report/types.ts';
import type { WorkSheet } from '../workbench/working/types.ts';
import { watched } from './progress.ts';
import { Thread } from './thread.ts';

/** A sheet that is to be made: labels, or the working of a test. */
export type PdfAsked =
  | { kind: 'labels'; labels: readonly SampleLabel[]; on: LabelSheet; skip: number }
  | { kind: 'work'; sheet: WorkSheet; paper: Paper }
  | { kind: 'report'; report: Report; paper: Paper };

const thread = new Thread<PdfAsked, Uint8Array<ArrayBuffer>>('pdf');

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
  const made = await watched(watch, (told) => thread.ask(asked, { signal, told })).catch(
    (problem: unknown) => {
      if (!signal.aborted) throw problem;
      return null;
    }
  );
  // Nobody reads this answer.
  if (made === null) return new Response(null, { status: 499 });
  return new Response(made, {
    headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
  });
}
