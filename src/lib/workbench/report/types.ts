import type { WorkFigure, WorkTable } from '../working/types.ts';

/** A part of a report under a heading of its own. */
export type ReportPart = {
  title: string;
  lines: readonly string[];
  table?: WorkTable;
  figures?: readonly WorkFigure[];
};

/** What is handed out of a test, a sample or a site: ready to be read, in the units of the reader. */
export type Report = {
  /** Whose it is, line by line. */
  letterhead: readonly string[];
  title: string;
  facts: readonly string[];
  /** The answer of a report that has one, and what is said of it. */
  result?: string;
  under: readonly string[];
  /** Stands beside the answer. */
  figure?: WorkFigure;
  parts: readonly ReportPart[];
  cautions: readonly string[];
  foot: string;
};
