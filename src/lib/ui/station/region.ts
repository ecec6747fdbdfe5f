/** Regions whose rulers are in inches. */
const INCH_REGIONS = new Set(['US', 'LR', 'MM']);

/**
 * Whether the first language with a region speaks of a region that measures in inches.
 * @param languages BCP 47 tags, the best first, as the browser gives them
 */
export function measuresInInches(languages: readonly string[]): boolean {
  for (const tag of languages) {
    const region = /^[a-z]{2,3}(?:-[A-Z][a-z]{3})?-([A-Z]{2})\b/.exec(tag)?.[1];
    if (region) return INCH_REGIONS.has(region);
  }
  return false;
}
