/** What is put on or into a bed. */
export const AMENDMENTS = ['compost', 'topsoil', 'sand', 'lime', 'mulch', 'dug', 'other'] as const;
export type AmendmentKind = (typeof AMENDMENTS)[number];

/** Something that was done to an area, on a day. */
export type AmendmentRecord = {
  id: string;
  areaId: string;
  /** Local date, YYYY-MM-DD. */
  doneOn: string;
  kind: AmendmentKind;
  /** How much, L; null where nobody counted. */
  litres: number | null;
  note: string;
  createdAt: number;
};
