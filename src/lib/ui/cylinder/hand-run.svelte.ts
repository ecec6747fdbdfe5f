import {
  slipsOfReading,
  swingingGL,
  type CylinderInput,
  type CylinderReading,
  type Fractions,
  type GaugeSlip,
  type Shown
} from '$lib/core';
import { SimulatedRun, type SimulatedMethod } from './simulated.svelte';

/** How far the liquid climbs the stem, g/L of its scale. */
export const MENISCUS_GL = 1;
/** Time before the lowering that is not passed over, s. */
const AHEAD_S = 6;

/** Where a reading by hand is: waiting for its hour, the clock running, what is shown to be written down, what came of it. */
type Phase = 'wait' | 'running' | 'written' | 'told';
/** What came of a reading. */
export type HandTold = { lateS: number; typed: Partial<Shown>; shown: Shown; slips: GaugeSlip[] };

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
    this.goneS = Math.max(this.goneS, from, 0);
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

  /** What the instruments show now: the bulb still swings where it was just lowered. A pipette has no stem. */
  get shown(): Shown {
    const { value, tempC } = this.run.shownAt(this.no, this.readS);
    const swings = this.tool === 'hydrometer' && this.leadS > 0 && this.loweredS !== undefined;
    const stemGL = swings ? swingingGL(value, this.readS - (this.loweredS ?? 0)) : value;
    return { stemGL, tempC, blankGL: this.run.blankShown };
  }

  /** What the bulb shows while it hangs in; 0 for a pipette, undefined while nothing is in. */
  get hangsAt(): number | undefined {
    if (this.loweredS === undefined || this.phase === 'wait' || this.done) return undefined;
    return this.tool === 'pipette' ? 0 : this.run.shownAt(this.no, Math.max(1, this.goneS)).value;
  }

  /** Writes down what was read; what a balance weighs writes itself. */
  write(typed: Partial<Shown>): void {
    const { shown, no, dueS, leadS, readS } = this;
    const loweredS = this.loweredS ?? readS;
    const slips = slipsOfReading({ dueS, leadS, loweredS, readS, meniscusGL: MENISCUS_GL, typed, shown });
    this.told = { lateS: readS - dueS, typed, shown, slips };
    this.slips += slips.length;
    this.blank ??= typed.blankGL;
    // Written with the hour of the plan, as somebody does who does not look at the clock again.
    const value = typed.stemGL ?? shown.stemGL;
    this.own = [...this.own, { no, timeS: dueS, value, tempC: typed.tempC ?? shown.tempC }];
    this.perfect = [...this.perfect, { no, timeS: dueS, ...this.run.shownAt(no, dueS) }];
    this.phase = 'told';
  }

  next(): void {
    this.no += 1;
    this.phase = 'wait';
  }

  #input(readings: CylinderReading[], blank: number): CylinderInput {
    const { input, tempC } = this.run;
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
