import type { DecisionId, Trouble } from '../../core/index.ts';

/** English. Decisions that are asked for in a drill: the question, and why it needs what it needs. */
export const decisions: Record<DecisionId, { ask: string; why: string }> = {
  'bore-fluid': {
    ask: 'Which kind of fluid is to be mixed for a bore?',
    why: 'Under 30 % of sand the ground is treated as clay ground, at or over it as sand.'
  },
  'wall-cracks': {
    ask: 'Will a cob wall of this earth crack as it dries?',
    why: 'Clay shrinks as it dries; sand and silt do not.'
  },
  'texture-class': {
    ask: 'Which texture class is it?',
    why: 'Two shares fix the point on the triangle, and the third follows from them: it takes all three.'
  },
  'wall-stones': {
    ask: 'Are there stones in it that start cracks in a wall?',
    why: 'What is coarser than 2 mm is screened out and told apart: the gravel.'
  },
  lead: {
    ask: 'Does the bed hold lead?',
    why: 'Texture says nothing about what is in the ground beside grains. Have it tested.'
  },
  crust: {
    ask: 'Will the bed seal over after rain?',
    why: 'Silt is fine enough to be moved by drops, and does not hold together: it slumps and seals.'
  },
  'block-sand': {
    ask: 'Is there enough of a frame for a pressed block?',
    why: 'Grains that bear on each other carry a block: a school asks for a least share of sand.'
  },
  swelling: {
    ask: 'Will the ground swell in the wet and crack in the dry?',
    why: 'Clay takes water between its sheets and gives it up again.'
  },
  'water-held': {
    ask: 'How much water for plants does the bed hold?',
    why: 'Sand and clay both go into it, and the silt is what is left: all three.'
  },
  drains: {
    ask: 'Will this very bed drain?',
    why: 'A hard layer or the water table rules over the texture. Dig a hole and fill it twice.'
  },
  feed: {
    ask: 'Does the bed lack feed?',
    why: 'Clay holds feed, but a jar does not show whether there is any. That is a laboratory’s work.'
  },
  wind: {
    ask: 'Which share does wind carry off a bare field in dust?',
    why: 'Silt is light enough to fly and does not stick.'
  },
  'gauge-wall': {
    ask: 'How much may a wall of this earth carry?',
    why: 'Texture guides the choice of earth; trial pieces, local code and an engineer decide what a wall carries.'
  },
  'press-sticks': {
    ask: 'Will the earth stick in the press?',
    why: 'Sticky clay will not feed a press.'
  },
  septic: {
    ask: 'Is the ground fit for a septic field?',
    why: 'That test is run by licensed people under local code, in the ground itself.'
  },
  blend: {
    ask: 'How many buckets of sand bring an earth into the window of a school?',
    why: 'A window has bounds on more than one share; a mix moves all of them: it takes all three.'
  }
};

/** English. Troubles of a jar: their name, what is seen, what to do. */
export const troubles: Record<Trouble['id'], { name: string; seen: string; act: string }> = {
  'too-full': {
    name: 'too much soil in it',
    seen: 'Soil stands two thirds up the glass. Its layers run into one another, with no line between them.',
    act: 'Begin again with a third of soil.'
  },
  'too-thin': {
    name: 'too little soil in it',
    seen: 'All layers together are nine millimetres. A ruler moves the sand by six points with every half millimetre.',
    act: 'Begin again with more soil, or a narrower jar; or take the wide range.'
  },
  stones: {
    name: 'not screened',
    seen: 'The bottom third is lumps as large as peas, with finer stuff in their gaps.',
    act: 'Sieve, weigh the gravel, begin again.'
  },
  foam: {
    name: 'foaming soap',
    seen: 'A white head stands on the water, and its lower edge hides the water line.',
    act: 'Wait, or begin again with a dispersant that does not foam.'
  },
  knocked: {
    name: 'knocked or moved',
    seen: 'Half an hour after set-down a thin band of sand lies over silt, where there was none.',
    act: 'Shake again and restart the clock; the first run stays in the record.'
  },
  'no-dispersant': {
    name: 'no dispersant',
    seen: 'The water was plain; crumbs of fine soil lie among the sand.',
    act: 'Shake again with a dispersant.'
  },
  'over-shoulder': {
    name: 'filled over the shoulder',
    seen: 'The top of the clay lies on the slope of the glass, where the jar narrows.',
    act: 'Read the straight part only, or begin again with less.'
  },
  'cloudy-long': {
    name: 'fine, well-dispersed clay, or a sodic soil',
    seen: 'After nine days the water is still milky, and the clay under it is thin.',
    act: 'Give the clay as a range. For a pond bank or a wall, such a soil is a warning of its own.'
  },
  'cleared-soon': {
    name: 'the clay has flocculated',
    seen: 'The water was clear within an hour, over a thick, fluffy layer that looks like silt.',
    act: 'Shake again with rain water and dispersant.'
  },
  'read-early': {
    name: 'read too early',
    seen: 'It is ten minutes after set-down. The cloud above the layers was written down as clay.',
    act: 'Keep the reading as an early one, and read again when the top stands still.'
  },
  'marks-fall': {
    name: 'the bed has sunk since the mark',
    seen: 'The tape of the second hour stands over the top of the sediment two days later.',
    act: 'Nothing: fresh sediment sinks. The later mark counts, both stay in the record.'
  },
  'two-layers': {
    name: 'little clay, or clay still up',
    seen: 'There are two layers only, and a faint haze over them.',
    act: 'Wait, look at the clearness of the water, and compare with the times of the marks.'
  },
  crumbs: {
    name: 'clods that had not broken',
    seen: 'Shaken a second time, the sand layer is a fifth thinner than it was at first.',
    act: 'Take the second run; shake longer next time.'
  },
  'dark-skin': {
    name: 'settled organic matter',
    seen: 'A dark, soft skin lies on top of all, and was measured as clay.',
    act: 'Draw a line of its own for it. It is no size class.'
  },
  rattle: {
    name: 'gravel left in it',
    seen: 'While it was shaken something struck the glass, however long it went on.',
    act: 'Note it, screen it out, and give the gravel apart.'
  }
};
