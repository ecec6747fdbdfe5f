import { labelsPdf } from '../../formats/labels-pdf.ts';
import { workPdf } from '../../formats/work-pdf.ts';
import type { PdfAsked } from '../pdf.ts';
import { answering } from './answering.ts';

/** Makes sheets beside the server. */
answering((asked: PdfAsked, told) =>
  asked.kind === 'labels'
    ? labelsPdf(asked.labels, asked.on, asked.skip, told)
    : workPdf(asked.sheet, asked.paper)
);
