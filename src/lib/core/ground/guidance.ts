/** What has been done to the ground before. */
export const HISTORIES = ['amended', 'filled', 'dug', 'untouched'] as const;
export type History = (typeof HISTORIES)[number];

/** What the soil is asked about. */
export type Question = 'garden' | 'build' | 'bore' | 'lesson';

/** A depth to sample, mm below the surface, and what it is for. An end is left open where the ground or the work decides it. */
export type SampleDepth = {
  fromMm?: number;
  toMm?: number;
  what: 'whole' | 'below-amendment' | 'below-topsoil' | 'at-bore';
};

/**
 * Depths to sample for a purpose: the whole rooting depth for a garden, and below what was worked in where a bed has
 * been amended; below the topsoil for building; where the bore will go. A lesson takes what is there. Practice, not
 * law: each depth can be changed at the spot.
 */
export function sampleDepths(purpose: Question, history: readonly History[] = []): SampleDepth[] {
  switch (purpose) {
    case 'garden':
      return [
        { fromMm: 75, toMm: 150, what: 'whole' },
        ...(history.includes('amended') ? [{ fromMm: 300, what: 'below-amendment' } as const] : [])
      ];
    case 'build':
      return [{ what: 'below-topsoil' }];
    case 'bore':
      return [{ what: 'at-bore' }];
    case 'lesson':
      return [];
  }
}
