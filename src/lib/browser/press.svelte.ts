import { ulid } from 'ulid';
import {
  formatTapeTime,
  handIsOn,
  isPressing,
  timingOf,
  type MarkTiming,
  type TimedMark
} from '../core/index.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import type { MarkRecord, RunRecord } from '../contract/records/run.ts';
import type { JarView } from '../workbench/jars.ts';
import { t } from '../words/index.ts';
import { offerUndo, problemText, record } from './actions.ts';
import { correctedNow } from './clock.svelte.ts';
import { send } from './outbox.svelte.ts';
import { sayProblem } from './toasts.ts';

type Layer = MarkRecord['layer'];

/**
 * What is asked about a mark of a run: `far` when it has been kept, `again` and `which` before it is. Its moment is that of the
 * press, however long the answer takes. Times in ms UTC.
 */
export type MarkQuestion = { jar: JarRecord; run: RunRecord; layer: Layer; at: number } & (
  | { kind: 'far'; markId: string; timing: MarkTiming; plan: TimedMark }
  | { kind: 'again'; before: { code: string; layer?: Layer; at: number } }
  | { kind: 'which' }
);

let last = $state<{ jarId: string; code: string; layer?: Layer; at: number } | null>(null);
let question = $state<MarkQuestion | null>(null);

/** The last press of a mark, and what is asked about one. */
export const press = {
  get question() {
    return question;
  },
  set question(value: MarkQuestion | null) {
    question = value;
  },
  /** The press whose hand is still on the glass: its button stands still for so long. */
  heldAt(now: number) {
    return last && handIsOn(last.at, now) ? last : null;
  }
};

/** Takes the moment at which an instrument is read; its figure is typed afterwards. A second press within a hand's time is none. */
export async function pressGauge(jar: JarRecord, no: number): Promise<boolean> {
  const { run } = jar;
  if (!run || press.heldAt(correctedNow())?.jarId === jar.id) return false;
  handOn(jar);
  const payload = { testId: jar.id, runId: run.id, gaugeId: ulid(), no, tempC: jar.tempC };
  return record('gauge.take', payload, t.cylinder.done.taken(jar.code, no + 1));
}

function handOn(jar: JarRecord, layer?: Layer): void {
  last = { jarId: jar.id, code: jar.code, layer, at: correctedNow() };
}

/**
 * A press of a mark. Its moment is taken at once. Within a hand's time of another it is asked about first, for one press is
 * easily made twice; else it is kept, and asked about where it lies far from the time of its method.
 *
 * @param o.anyJar a key, or one place for all jars: then a press on another jar is asked about too
 * @param o.before the jar that stood in this place until just now, where it waits for a mark too: then it is asked which was meant
 */
export async function pressMark(
  jar: JarRecord,
  layer: Layer,
  o: { anyJar?: boolean; before?: JarView } = {}
): Promise<boolean> {
  const at = correctedNow();
  const { run } = jar;
  const before = press.heldAt(at);
  if (run && before && (o.anyJar || before.jarId === jar.id)) {
    question = { kind: 'again', jar, run, layer, at, before };
    return false;
  }
  if (run && o.before?.step.kind === 'mark' && isPressing(o.before.step)) {
    question = { kind: 'which', jar, run, layer, at };
    return false;
  }
  return keepMark(jar, layer, at);
}

/** Keeps a mark with the moment it was pressed, and asks where that is far off. */
export async function keepMark(jar: JarRecord, layer: Layer, at: number): Promise<boolean> {
  const run = jar.run;
  if (!run) return false;
  handOn(jar, layer);
  const markId = ulid();
  const timeS = (at - run.setDownAt) / 1000;
  try {
    const sent = await send('jar.mark', { testId: jar.id, runId: run.id, markId, layer }, at);
    // A mark that is taken back can be made again at once.
    const release = () => Promise.resolve(void (last = null));
    offerUndo(sent, t.done['jar.mark'](jar.code, t.layer[layer], formatTapeTime(timeS)), release);
  } catch (problem) {
    sayProblem(problemText(problem));
    return false;
  }
  const plan = jar.method.marks.find((m) => m.layer === layer);
  const timing = plan && timingOf(plan, timeS);
  if (plan && timing?.far) question = { kind: 'far', jar, run, layer, at, markId, timing, plan };
  return true;
}
