/** With a dispersant flocs are unlikely, without one likely: what is left to the unlikely. */
const AGAINST = 0.15;

/** Log chance of what was used, where such a share of the clay fell as flocs. */
export const logDispersant = (used: boolean, flocShare: number): number =>
  Math.log(1 - (1 - AGAINST) * (used ? flocShare : 1 - flocShare));
