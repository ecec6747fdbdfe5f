import { labelsPdf } from '../../formats/labels-pdf.ts';
import { reportPdf } from '../../formats/report-pdf.ts';
import { workPdf } from '../../formats/work-pdf.ts';
import type { PdfAsked } from '../pdf.ts';
import { answering } from './answering.ts';

/** Makes sheets beside the server. */
answering((asked: PdfAsked, told) => {
  if (asked.kind === 'labels') return labelsPdf(asked.labels, asked.on, asked.skip, told);
  return asked.kind === 'report' ? reportPdf(asked.report, asked.paper) : workPdf(asked.sheet, asked.paper);
});
