import type { MethodStep } from '../types.ts';

/** Steps that several methods share, with their reasons. */

export const CLEAN: MethodStep = {
  text: 'Dry the soil in the shade, break every clod, take out stones, roots and twigs.',
  why: 'A clod settles like a stone and is read as sand. What is screened out is gravel: measure it apart.'
};

export const LEVEL_FILL: MethodStep = {
  text: 'Fill in the dry soil loosely, level it, and mark its height on the glass.',
  why: 'The dry fill tells later how much soil the layers stand for.'
};

export const STAND: MethodStep = {
  text: 'Set it down on a level place out of the sun. That moment is time zero. Do not touch it again.',
  why: 'Warmth stirs the water, and a knock mixes the layers: both spoil the sorting.'
};

export const TAPE: MethodStep = {
  text: 'At each mark put tape on the glass at the top of what has settled.',
  why: 'The clock places the line; the eye need not find it later.'
};

export const MEASURE: MethodStep = {
  text: 'Measure every line from the inside bottom of the glass, at eye level.',
  why: 'A ruler on the table counts the base as sand unless it is taken off.'
};

export const LAB_SOAK: MethodStep = {
  text: 'Weigh the air-dry soil under 2 mm. Soak it overnight in 100 mL of a 5 % sodium hexametaphosphate solution.',
  why: 'The dispersant makes clay let go of itself; without the night, crumbs count as silt.'
};

export const LAB_RINSE: MethodStep = {
  text: 'Stir, rinse all of it across into the cylinder with distilled water, fill to 1000 mL, and let it take the temperature of the room.',
  why: 'What stays in the beaker is missing from every reading.'
};

export const LAB_BLANK: MethodStep = {
  text: 'Set up a blank: the same dispersant and water, no soil, beside it.',
  why: 'Its reading is taken off each of the others, in sign: it corrects for dispersant and temperature at once.'
};

export const LAB_MOISTURE: MethodStep = {
  text: 'Dry 10 g of the same soil at 105 °C and weigh it again.',
  why: 'Shares are of the oven-dry mass. Use a ventilated oven that is not used for food.'
};
