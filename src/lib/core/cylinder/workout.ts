import { RangeProblem } from '../errors.ts';
import { effectiveDepth, readingInGrams } from '../physics/bulb.ts';
import { CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { cutDiameter, cutDiameterForDisplay } from '../physics/settling.ts';
import { textureSystems } from '../texture/classify.ts';
import { finerAt, gradingFigures } from '../texture/grading.ts';
import { convertLimit } from '../texture/limits.ts';
import type { SystemId } from '../texture/types.ts';
import { joinCurve, sievePoints, type CurvePoint } from './curve.ts';
import { checkFacts, dryMassOf, FULL_CYLINDER_ML, type CylinderFacts } from './facts.ts';
import {
  correctedReading,
  densityFactor,
  ontoTriangle,
  requirePossible,
  sizeAtReading
} from './hydrometer.ts';
import { pipetteFiner } from './pipette.ts';
import {
  blankFor,
  readingField,
  type CylinderInput,
  type CylinderReading,
  type CylinderScheme,
  type WorkedCylinder,
  type WorkedReading,
  type WorkedReadings
} from './worked.ts';

function requireReadings(readings: readonly CylinderReading[]): void {
  if (readings.length === 0) throw new RangeProblem('readings', 'Nothing has been read yet.');
  const times = new Map<number, CylinderReading>();
  for (const r of readings) {
    if (!(r.timeS > 0)) {
      throw new RangeProblem(readingField(r.no), 'This reading is not after the set-down. Check its time.');
    }
    const other = times.get(Math.round(r.timeS));
    if (other) {
      throw new RangeProblem(
        readingField(r.no),
        'Two readings stand at the same second. Take one back, or correct its time.'
      );
    }
    times.set(Math.round(r.timeS), r);
  }
}

/** A corrected reading may rise by this much before it is called wrong, g/L. */
const MAY_RISE = 0.5;

function requireFalling(readings: readonly WorkedReading[]): void {
  let lowest = Infinity;
  for (const { no, hydrometer } of [...readings].sort((a, b) => a.timeS - b.timeS)) {
    if (!hydrometer) continue;
    const { corrected } = hydrometer;
    if (corrected > lowest + MAY_RISE) {
      throw new RangeProblem(
        readingField(no),
        `This reading is higher than an earlier one, blank taken off (${corrected.toFixed(1)} after ${lowest.toFixed(1)} g/L). Grains only fall: check both, and their blanks.`
      );
    }
    lowest = Math.min(lowest, corrected);
  }
}

function workHydrometer(input: CylinderInput, ovenDryG: number): WorkedReading[] {
  const { facts, blanks } = input;
  const a = densityFactor(facts.particleDensity);
  const litres = facts.cylinderMl / FULL_CYLINDER_ML;
  const worked = input.readings.map((r): WorkedReading => {
    const at = readingField(r.no);
    const blank = blankFor(blanks, r.timeS);
    const grams = readingInGrams(facts.bulb, r.value);
    const corrected = correctedReading(grams, r.tempC, blank && readingInGrams(facts.bulb, blank.value));
    const finerPct = (100 * a * corrected * litres) / ovenDryG;
    if (a * corrected * litres > ovenDryG + MAY_RISE) {
      throw new RangeProblem(
        at,
        `This reading says ${(a * corrected * litres).toFixed(1)} g are in suspension, of ${ovenDryG.toFixed(1)} g of soil. Check it, the blank and the mass.`
      );
    }
    const depthMm = effectiveDepthAt(at, facts, r.value);
    const o = { timeS: r.timeS, fallMm: depthMm, tempC: r.tempC, particleDensity: facts.particleDensity };
    return {
      ...r,
      hydrometer: { grams, blank, corrected },
      depthMm,
      diameterUm: sizeAtReading({ ...facts, scale: r.value, timeS: r.timeS, tempC: r.tempC }),
      shownUm: cutDiameterForDisplay(o),
      finerPct
    };
  });
  requireFalling(worked);
  return worked;
}

function effectiveDepthAt(field: string, facts: CylinderFacts, value: number): number {
  try {
    return effectiveDepth(facts.bulb, value, facts.meniscus);
  } catch (problem) {
    if (problem instanceof RangeProblem) throw new RangeProblem(field, problem.message);
    throw problem;
  }
}

function workPipette(input: CylinderInput, ovenDryG: number): WorkedReading[] {
  const { pipette, cylinderMl, particleDensity } = input.facts;
  if (!pipette) throw new RangeProblem('pipette.volumeMl', 'Say how much the pipette draws, and how deep.');
  return input.readings.map((r): WorkedReading => {
    if (!(r.value >= pipette.dispersantG)) {
      throw new RangeProblem(
        readingField(r.no),
        'This draw weighs less than the dispersant in it. Check the mass, and the tin it was dried in.'
      );
    }
    const o = { timeS: r.timeS, fallMm: pipette.depthMm, tempC: r.tempC, particleDensity };
    const finerPct = pipetteFiner({
      dryG: r.value,
      dispersantG: pipette.dispersantG,
      cylinderMl,
      pipetteMl: pipette.volumeMl,
      ovenDryG
    });
    if (finerPct > 100.5) {
      throw new RangeProblem(
        readingField(r.no),
        `This draw stands for ${finerPct.toFixed(0)} % of the soil. Check its mass, the dispersant and the volumes.`
      );
    }
    return {
      ...r,
      depthMm: pipette.depthMm,
      diameterUm: cutDiameter(o),
      shownUm: cutDiameterForDisplay(o),
      finerPct
    };
  });
}

/** The two customary readings as they stand: the first gives the sand, the last the clay. */
function byTwoPoints(inTime: WorkedReading[], sievedSandPct: number | undefined): Fractions {
  const last = inTime[inTime.length - 1];
  if (inTime.length < 2 && sievedSandPct === undefined) {
    throw new RangeProblem('readings', 'Two readings are wanted: one for the sand, one for the clay.');
  }
  const sand = sievedSandPct ?? 100 - inTime[0].finerPct;
  return { sand, silt: 100 - sand - last.finerPct, clay: last.finerPct };
}

/** A limit this little over the coarsest reading is still reached by it, as a factor in size. */
const REACH = 1.1;

/** The fractions at the limits of a system, off a curve. */
function offCurve(
  curve: CurvePoint[],
  system: SystemId,
  scheme: CylinderScheme
): { raw: Fractions; beyond: boolean } {
  const [clayUm, sandUm] = textureSystems[system].limitsUm;
  const clay = finerAt(curve, clayUm);
  const coarsest = Math.max(...curve.filter((p) => p.from !== 'whole').map((p) => p.diameterUm));
  const fines = coarsest * REACH >= sandUm ? finerAt(curve, sandUm) : undefined;
  if (!clay) {
    const finest = curve[0].diameterUm;
    throw new RangeProblem(
      'readings',
      `The finest reading cut ${finest.toFixed(1)} µm: the clay, under ${CLAY_LIMIT_UM} µm, cannot be told yet. Read once more later.`
    );
  }
  if (!fines) {
    throw new RangeProblem(
      'readings',
      scheme === 'pipette'
        ? `The coarsest draw cut ${coarsest.toFixed(0)} µm: what is between that and ${sandUm} µm cannot be told from sand. Weigh what stayed on the mesh, under what was weighed.`
        : `The coarsest reading cut ${coarsest.toFixed(0)} µm: the curve does not reach ${sandUm} µm. Read earlier, or sieve the sand.`
    );
  }
  return {
    raw: { sand: 100 - fines.value, silt: fines.value - clay.value, clay: clay.value },
    beyond: clay.how === 'beyond' || fines.how === 'beyond'
  };
}

/**
 * Works out the readings that there are: corrected, with their sizes, and the curve through them and the meshes.
 *
 * @throws {RangeProblem} naming the reading (`reading.N`) or the field that cannot be right
 */
export function workOutReadings(input: CylinderInput): WorkedReadings {
  const { facts, scheme } = input;
  requireReadings(input.readings);
  checkFacts(facts, input.readings[0].tempC);
  const { ovenDryG, waterPct } = dryMassOf(facts);
  const worked = scheme === 'pipette' ? workPipette(input, ovenDryG) : workHydrometer(input, ovenDryG);
  const curve = joinCurve(
    worked.map((r) => ({ diameterUm: r.diameterUm, percentFiner: r.finerPct, from: 'reading', no: r.no })),
    sievePoints(facts.sieves, ovenDryG)
  );
  return {
    scheme,
    ovenDryG,
    waterPct,
    densityFactor: densityFactor(facts.particleDensity),
    readings: [...worked].sort((a, b) => a.timeS - b.timeS),
    curve,
    figures: gradingFigures(curve)
  };
}

/**
 * Works out a cylinder test: its readings, and the fractions of a system.
 *
 * @throws {RangeProblem} as {@link workOutReadings}, and with field `readings` where they do not tell the fractions yet
 */
export function workOutCylinder(input: CylinderInput, system: SystemId): WorkedCylinder {
  const worked = workOutReadings(input);
  const { readings, curve, scheme } = worked;
  const [first, last] = [readings[0], readings[readings.length - 1]].map((r) => readingField(r.no));
  const sieved = input.facts.sieves.length > 0;
  let raw: Fractions;
  let beyond = false;
  if (scheme === 'two-point') {
    const sandUm = textureSystems[system].limitsUm[1];
    raw = byTwoPoints(readings, sieved ? 100 - (finerAt(curve, sandUm)?.value ?? 100) : undefined);
    // The customary reading stands for 50 um; another limit is reached by interpolation.
    if (!sieved && sandUm !== USDA_SAND_LIMIT_UM) raw = convertLimit(raw, USDA_SAND_LIMIT_UM, sandUm);
  } else {
    ({ raw, beyond } = offCurve(curve, system, scheme));
  }
  requirePossible(raw, { sand: first, silt: last, clay: last });
  return {
    ...worked,
    system,
    fractions: ontoTriangle(raw),
    sandFrom: sieved ? 'sieve' : scheme === 'two-point' ? 'reading' : 'curve',
    beyond
  };
}
