import {
  instrumentAt,
  known,
  methodByKey,
  simulatedBalance,
  simulatedBlank,
  simulatedBlankAt,
  simulatedDraw,
  simulatedHydrometer,
  simulatedThermometer,
  USUAL_FACTS,
  type CylinderFacts,
  type CylinderInput,
  type CylinderReading,
  type Fractions,
  type SimulatedInstrument,
  type SimulatedCylinder
} from '$lib/core';
import { schemeOf, setupFor } from '$lib/contract/cylinder';

/** Methods that a simulated cylinder can be run by. */
export const SIMULATED_METHODS = ['hydrometer-2pt', 'hydrometer-curve', 'pipette'] as const;
export type SimulatedMethod = (typeof SIMULATED_METHODS)[number];

const DISPERSANT_GL = 3;
/** Meshes that the sand of a pipette test is caught on, um. */
const MESH_UM = 50;

/** A made-up soil of three even parts, no part under 8 %. */
export function madeUpSoil(random: () => number = Math.random): Fractions {
  const [a, b, c] = [random(), random(), random()].map((x) => 0.15 + x);
  const sum = a + b + c;
  const [sand, silt] = [a, b].map((x) => Math.round((100 * x) / sum));
  return { sand, silt, clay: 100 - sand - silt };
}

/** One simulated test: its instruments are asked like real ones, at the times of the method. */
export class SimulatedRun {
  readonly method;
  readonly tempC: number;
  readonly soil: Fractions;
  readonly facts: CylinderFacts;
  readonly times: number[];
  readonly #cylinder: SimulatedCylinder;
  readonly #blank: number;
  readonly #seed: number;
  readings = $state.raw<CylinderReading[]>([]);
  goneS = $state(0);

  constructor(key: SimulatedMethod, soil: Fractions, seed: number) {
    this.method = methodByKey(key);
    this.soil = soil;
    this.#seed = seed;
    this.tempC = 17 + (seed % 8);
    const setup = known(setupFor(this.method), 'only methods by instrument are simulated').facts;
    const sand = (setup.airDryG * soil.sand) / 100;
    this.facts = {
      ...USUAL_FACTS,
      ...setup,
      sieves: setup.pipette ? [{ meshUm: MESH_UM, retainedG: this.#weigh(sand, 1) }] : []
    };
    const blank = simulatedBlankAt(this.tempC, DISPERSANT_GL);
    this.#cylinder = { fractions: soil, facts: this.facts, tempC: this.tempC, blank };
    this.#blank = simulatedBlank(this.#cylinder, seed).read();
    this.times = (this.method.readings ?? []).map((r) => Math.round(instrumentAt(r, this.tempC)));
  }

  #weigh(trueG: number, no: number): number {
    return Math.round(simulatedBalance(trueG, this.#seed + no).read() * 100) / 100;
  }

  /** What has been read so far, as a test. */
  get input(): CylinderInput {
    const blanks = this.facts.pipette ? [] : [{ timeS: 60, value: this.#blank, tempC: this.tempC }];
    return { scheme: schemeOf(this.method), facts: this.facts, readings: this.readings, blanks };
  }

  get done(): boolean {
    return this.readings.length >= this.times.length;
  }

  /** What instrument and thermometer show at a time, s after set-down: for the reading of that number. */
  shownAt(no: number, timeS: number): { value: number; tempC: number } {
    const seed = this.#seed + 10 * no;
    const instrument: SimulatedInstrument = this.facts.pipette
      ? simulatedBalance(simulatedDraw(this.#cylinder, timeS), seed)
      : simulatedHydrometer(this.#cylinder, timeS, seed);
    return {
      value: Math.round(instrument.read() * 1e4) / 1e4,
      tempC: Math.round(simulatedThermometer(this.tempC, seed + 1).read() * 10) / 10
    };
  }

  /** What the bulb shows in the blank. */
  get blankShown(): number {
    return this.#blank;
  }

  /** Goes to the next reading and reads it. */
  next(): void {
    const no = this.readings.length;
    const timeS = this.times[no];
    this.goneS = timeS;
    this.readings = [...this.readings, { no, timeS, ...this.shownAt(no, timeS) }];
  }
}
