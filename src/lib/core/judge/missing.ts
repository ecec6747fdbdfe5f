/** Kinds of material that can be missing from a blend. */
export const MISSING_KINDS = ['sand', 'clay soil', 'silty soil'] as const;
export type MissingKind = (typeof MISSING_KINDS)[number];
