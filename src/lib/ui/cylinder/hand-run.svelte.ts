import {
  bobbing,
  scoreHandReading,
  type CylinderInput,
  type CylinderReading,
  type Fractions,
  type GaugeSlip
} from '$lib/core';
import { SimulatedRun, type SimulatedMethod } from './simulated.svelte';

/** How far the liquid climbs the stem, g/L of its scale. */
export const MENISCUS_GL = 1;
/** Time before the lowering that is not passed over, s. */
const AHEAD_S = 6;

/** Where a reading by hand is: waiting for its hour, the clock running, what is shown to be written down, what came of it. */
type Phase = 'wait' | 'running' | 'written' | 'told';
/** What came of a reading. */
export type HandTold = { byS: number; typed?: number; shown?: number; slips: GaugeSlip[] };

/** A cylinder run by hand: the learner lowers, reads and writes down; the clock is the page's. */
export class HandRun {
  readonly run: SimulatedRun;
  phase = $state<Phase>('wait');
  no = $state(0);
  goneS = $state(0);
  loweredS = $state<number>();
  readS = $state(0);
  told = $state.raw<HandTold>();
  own = $state.raw<CylinderReading[]>([]);
  perfect = $state.raw<CylinderReading[]>([]);
  blank = $state<number>();
  slips = $state(0);

  constructor(key: SimulatedMethod, soil: Fractions, seed: number) {
    this.run = new SimulatedRun(key, soil, seed);
  }

  get tool(): 'hydrometer' | 'pipette' {
    return this.run.facts.pipette ? 'pipette' : 'hydrometer';
  }
  get dueS(): number {
    return this.run.times[this.no] ?? 0;
  }
  get leadS(): number {
    return this.run.method.readings?.[this.no]?.leadS ?? 0;
  }
  get done(): boolean {
    return this.no >= this.run.times.length;
  }

  /** Passes the time until shortly before the instrument is lowered; the clock then runs. */
  pass(): void {
    const from = this.dueS - this.leadS - AHEAD_S;
    this.goneS = Math.max(this.goneS, this.no === 0 ? Math.max(0, from) : from);
    // One that stays in was lowered for the reading before.
    if (this.leadS > 0 || this.no === 0) this.loweredS = undefined;
    this.phase = 'running';
  }

  lower(): void {
    this.loweredS = this.goneS;
  }

  read(): void {
    if (this.loweredS === undefined) return;
    this.readS = this.goneS;
    this.phase = 'written';
    if (this.tool === 'pipette') this.write({});
  }

  /** What is shown when it is read: the bulb still swings where it was just lowered. */
  get shown(): { value: number; tempC: number; blank: number } {
    const { value, tempC } = this.run.shownAt(this.no, this.readS);
    const swing =
      this.tool === 'hydrometer' && this.leadS > 0 ? bobbing(this.readS - (this.loweredS ?? 0)) : 0;
    return { value: Math.round((value + swing) * 2) / 2, tempC, blank: this.run.blankShown };
  }

  /** Writes down what was read. */
  write(typed: { value?: number; tempC?: number; blank?: number }): void {
    const { shown } = this;
    const pipette = this.tool === 'pipette';
    const weighed = this.run.shownAt(this.no, this.readS).value;
    const { slips, time } = scoreHandReading({
      dueS: this.dueS,
      leadS: this.leadS,
      loweredS: this.loweredS ?? this.readS,
      readS: this.readS,
      typed: typed.value,
      shown: pipette ? undefined : shown.value,
      meniscus: MENISCUS_GL,
      typedTempC: typed.tempC,
      tempC: shown.tempC
    });
    this.told = { byS: time.off.by, typed: typed.value, shown: pipette ? undefined : shown.value, slips };
    this.slips += slips.length;
    if (typed.blank !== undefined) this.blank = typed.blank;
    const { no } = this;
    // Written with the hour of the plan, as somebody does who does not look at the clock again.
    this.own = [
      ...this.own,
      { no, timeS: this.dueS, value: typed.value ?? weighed, tempC: typed.tempC ?? shown.tempC }
    ];
    this.perfect = [...this.perfect, { no, timeS: this.dueS, ...this.run.shownAt(no, this.dueS) }];
    this.phase = 'told';
  }

  next(): void {
    this.no += 1;
    this.phase = 'wait';
  }

  #input(readings: CylinderReading[], blank: number): CylinderInput {
    const { input } = this.run;
    const { tempC } = this.run;
    return { ...input, readings, blanks: input.blanks.map((one) => ({ ...one, value: blank, tempC })) };
  }
  /** The test as the learner read it, and as it would be read without a slip. */
  get inputs(): { own: CylinderInput; perfect: CylinderInput } {
    return {
      own: this.#input(this.own, this.blank ?? this.run.blankShown),
      perfect: this.#input(this.perfect, this.run.blankShown)
    };
  }
}
