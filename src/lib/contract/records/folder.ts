/** A soil in a folder: one of the samples, and what its sender calls it. */
export type FolderItem = { sampleId: string; theirs: string };

/** Soils that somebody else sent: judged together, and reported on one paper. */
export type FolderRecord = {
  id: string;
  name: string;
  sender: string;
  /** Local date, YYYY-MM-DD. */
  receivedOn: string | null;
  note: string;
  items: FolderItem[];
  createdAt: number;
};
