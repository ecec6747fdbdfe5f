/**
 * What is known of a jar before anybody reads it: a normal prior for each unknown, with its reason. Tuned on simulated jars
 * of many soils, not on single measurements; whoever knows better for a region changes a line here.
 */

/** Centre and spread of a normal prior; `ln` where it is the logarithm that is normal. */
export type Prior = { centre: number; spread: number; why: string };

const prior = (centre: number, spread: number, why: string): Prior => ({ centre, spread, why });

export const PRIORS = {
  /** Solids over the floor of the vessel, ln kg/m2. */
  loadLn: prior(Math.log(30), 0.6, 'A quarter to a half of a jar is soil; fills differ by more than two.'),
  /** Bulk densities of what has settled, kg/m3; spreads of the logarithms. */
  packing: {
    sand: prior(Math.log(1463), 0.06, 'Sand drops into a loose bed, and there is little choice in it.'),
    silt: prior(Math.log(1197), 0.11, 'Silt settles looser, by its shape and salts.'),
    clay: prior(Math.log(750), 0.22, 'Fresh clay holds two or three times its volume in water.')
  },
  /** How the mass of each band leans towards its coarse end, and how it bends, in exp(tilt u + bend u^2), u from -1 to 1. */
  tilt: {
    sand: prior(-1.5, 2.1, 'Most sands are fine; some are not.'),
    silt: prior(0.42, 0.9, 'A silt beside much sand is coarse, beside much clay fine: see siltTilt.'),
    clay: prior(0.81, 1.2, 'Coarse clay outweighs fine clay in most soils.')
  },
  bend: { sand: -2.4, silt: -0.8, clay: -1.9 },
  /** How far silt fills the voids of sand, 0 to 1. */
  filling: prior(0.63, 0.15, 'What comes down with sand lies partly between its grains.'),
  /** Share of height that a layer of clay loses in the end. */
  sinking: prior(0.08, 0.03, 'Fresh clay sinks a tenth under its own weight within a day or two.'),
  /** Stokes size of flocs, ln um. */
  flocLn: prior(Math.log(10), 0.4, 'Flocs in still tap water fall as silt does.'),
  /** Factor on every speed, ln. */
  speedLn: prior(0, 0.03, 'Density and shape of grains.'),
  /** Size at which an eye draws the line under clay, ln um. */
  eyeLn: prior(Math.log(2.8), 0.2, 'What looks smooth begins a little above 2 um.'),
  /** When a mark in the first minutes was made, s off its press. */
  earlyMarkS: prior(0, 3, 'The hand takes seconds; grains fall 6 mm in each.')
} as const;

/** How the lean of silt follows its neighbours: slopes on ln(sand/silt) and ln(clay/silt), each held within 3. */
export const SILT_LEAN = { sand: 0.19, clay: -0.31, within: 3 } as const;

/**
 * Dry soil as it is filled, kg/m3, the error of its height as a measure of mass, and that of a weight, which holds the air's
 * water; both in ln. Gravel lies at the bottom with its voids filled, kg/m3.
 */
export const FILL = { kgM3: 1200, heightLn: 0.16, weighedLn: 0.025, gravelKgM3: 1900 } as const;

/** Clay fills the voids of silt by so much. */
export const CLAY_IN_SILT = 0.38;
/** A layer sinks with this time, s; silt by this share of what clay does. */
export const SINK_S = 17 * 3600;
export const SINK_SILT = 0.4;
/** Flocs hold water: they crowd a column by so much more than their grains. */
export const FLOC_CROWDING = 1.9;
/** Exponent of Richardson & Zaki 1954, and the crowding at which it is no longer followed. */
export const CROWDING_POWER = 4.65;
export const CROWDED_MOST = 0.55;

/** Bounds of what an eye calls clear and cloudy, g/L in mid column, and how sure an eye is of them, ln. */
export const WATER_GL = { clear: 0.06, cloudy: 0.6, blurLn: 0.6 } as const;

/** Errors of what is read, mm: shares are of the height. */
export const ERRORS = {
  line: 0.5,
  mark: { mm: 0.1, share: 0.025 },
  sandLine: { mm: 0.45, share: 0.02 },
  siltLine: { mm: 0.8, share: 0.03 },
  /** An eye may be led astray at the line under clay: degrees of freedom of its Student tail. */
  siltFreedom: 4,
  /** All heights of a jar stand over one base. */
  base: 0.5,
  /** Shares by eye, points of where a line lies: an eye errs by about one in twenty, the model by less. Set by hand. */
  byEye: { pct: 5, modelPct: 2 }
} as const;

/**
 * How far jars that one person read in one way scatter about what they differ from a laboratory by, ln of a ratio, and the
 * degrees of freedom of their tail. Set by hand: bands of a hundred simulated jars of all soils scatter by 0.7.
 */
export const CALIBRATED = { scatterLn: 0.5, freedom: 4 } as const;

/** Marks up to here were made in a hurry, s. */
export const EARLY_S = 300;

/** What one kind of line is less sure by, mm and as a share of its height. */
type Less = { mm: number; share: number };

/** What trouble makes less sure: the sand line, the line of the silt under the clay, the top of all. Set by hand, with the reason. */
export const TROUBLE: Record<
  'knocked' | 'foamed' | 'too-full' | 'rattled' | 'crumbs' | 'stones' | 'dark-skin' | 'two-layers',
  Partial<Record<'sand' | 'silt' | 'top', Less>>
> = {
  /** Layers run into each other where they meet, and the bed packs. */
  knocked: { sand: { mm: 2, share: 0.03 }, silt: { mm: 3, share: 0.05 }, top: { mm: 0.5, share: 0.04 } },
  /** Foam holds fine grains back and hides the top. */
  foamed: { top: { mm: 1.5, share: 0.02 } },
  /** Past half full grains drag each other down, fine with coarse: how much is a guess. */
  'too-full': { sand: { mm: 1, share: 0.06 }, silt: { mm: 1, share: 0.06 }, top: { mm: 0, share: 0.03 } },
  /** Crumbs that never broke lie with the sand. */
  rattled: { sand: { mm: 0.5, share: 0.1 } },
  /** Some fell apart between two shakes; what has not lies with the sand. */
  crumbs: { sand: { mm: 0.5, share: 0.08 } },
  /** Sand and silt have run into the gaps between the stones, and their top is no line. */
  stones: { sand: { mm: 2, share: 0.05 }, silt: { mm: 2, share: 0 }, top: { mm: 2, share: 0 } },
  /** Where the clay ends under a dark skin is a guess. */
  'dark-skin': { top: { mm: 1, share: 0.02 } },
  /** A line that nobody saw lies on another, or anywhere near it. */
  'two-layers': { silt: { mm: 2, share: 0.05 } }
};
