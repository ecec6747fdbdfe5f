/**
 * The notes on the water over the sediment, by what shows through a jar held against print and light: print can be read;
 * light and fingers show, print does not; nothing shows.
 */
export const WATERS = ['clear', 'hazy', 'cloudy'] as const;
export type Water = (typeof WATERS)[number];

/** What was seen of the water over the sediment, if anybody looked. */
export type Clarity = Water | 'unseen';
