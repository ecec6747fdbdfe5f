/** A table of a working, ready to be read: the first column names the line, `numbers` says which stand to the right. */
export type WorkTable = {
  title?: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
  numbers: readonly number[];
  /** Columns whose text is a formula. */
  formulas?: readonly number[];
};

/** A drawing of a working; its words name the faces of the sheet. */
export type WorkFigure = { svg: string; widthPt: number; title?: string };

/** The working of a test as it is handed in. */
export type WorkSheet = {
  title: string;
  /** What was tested and how, a line each. */
  facts: readonly string[];
  result: string;
  under: readonly string[];
  /** Stands beside the result. */
  triangle?: WorkFigure;
  /** Stand between the tables, after the first. */
  figures?: readonly WorkFigure[];
  tables: readonly WorkTable[];
  notes: readonly string[];
  foot: string;
};
