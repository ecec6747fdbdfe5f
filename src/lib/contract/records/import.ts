/** A table that was taken in, or is being. */
export type ImportRecord = {
  id: string;
  name: string;
  who: string;
  startedAt: number;
  rows: number;
  done: number;
  finishedAt: number | null;
  undoneAt: number | null;
  /** Tests that stayed when it was taken back. */
  stayed: number | null;
};
