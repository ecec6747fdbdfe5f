/** A sheet of labels by its measures, mm. */
export type LabelSheet = {
  id: string;
  name: string;
  page: { width: number; height: number };
  label: { width: number; height: number };
  columns: number;
  rows: number;
  /** Where the first label starts. */
  left: number;
  top: number;
  /** From one label to the next, beyond its own size. */
  gapX: number;
  gapY: number;
};

const A4 = { width: 210, height: 297 };
const LETTER = { width: 215.9, height: 279.4 };

const sheet = (
  id: string,
  page: LabelSheet['page'],
  paper: string,
  label: LabelSheet['label'],
  grid: Pick<LabelSheet, 'columns' | 'rows' | 'left' | 'top' | 'gapX' | 'gapY'>
): LabelSheet => ({
  id,
  name: `${paper}, ${grid.columns * grid.rows} of ${label.width} × ${label.height} mm`,
  page,
  label,
  ...grid
});

/** Grids that are commonly sold, by their measures; and one label a page, for a label printer or a bag. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  sheet(
    'a4-24',
    A4,
    'A4',
    { width: 70, height: 36 },
    { columns: 3, rows: 8, left: 0, top: 4.5, gapX: 0, gapY: 0 }
  ),
  sheet(
    'a4-10',
    A4,
    'A4',
    { width: 99.1, height: 57 },
    { columns: 2, rows: 5, left: 4.65, top: 6, gapX: 2.5, gapY: 0 }
  ),
  sheet(
    'letter-30',
    LETTER,
    'Letter',
    { width: 66.7, height: 25.4 },
    { columns: 3, rows: 10, left: 4.8, top: 12.7, gapX: 3.1, gapY: 0 }
  ),
  sheet(
    'letter-10',
    LETTER,
    'Letter',
    { width: 101.6, height: 50.8 },
    { columns: 2, rows: 5, left: 4, top: 12.7, gapX: 4.7, gapY: 0 }
  ),
  sheet(
    'single',
    { width: 100, height: 60 },
    'One a page',
    { width: 100, height: 60 },
    { columns: 1, rows: 1, left: 0, top: 0, gapX: 0, gapY: 0 }
  )
];

/** Where a label stands: its page from 0, and its upper left corner, mm. */
export type LabelPlace = { page: number; x: number; y: number };

/**
 * Places of labels on a sheet, row by row.
 *
 * @param skip labels of the first sheet that have been used already
 */
export function labelPlaces(on: LabelSheet, count: number, skip = 0): LabelPlace[] {
  const perPage = on.columns * on.rows;
  return Array.from({ length: count }, (_, i) => {
    const at = i + skip;
    const onPage = at % perPage;
    return {
      page: Math.floor(at / perPage),
      x: on.left + (onPage % on.columns) * (on.label.width + on.gapX),
      y: on.top + Math.floor(onPage / on.columns) * (on.label.height + on.gapY)
    };
  });
}
