import {
  compareUrgency,
  jarColumn,
  methodByKey,
  nextStep,
  predictJar,
  shownCut,
  solidsFromDryFill,
  stepsAhead,
  type JarPicture,
  type LayerName,
  type Method,
  type NextStep
} from '$lib/core';
import type { JarRecord, MarkRecord, RunRecord } from '$lib/contract/records';

/** A jar with what it waits for. */
export type JarView = { jar: JarRecord; method: Method; run: RunRecord | null; step: NextStep };

/** Facts of a jar's run as the timetable takes them. */
function runFacts(jar: JarRecord) {
  const run = jar.run && jar.run.endedAt === null ? jar.run : null;
  return {
    run,
    facts: {
      setDownAt: run?.setDownAt,
      plannedAt: jar.plannedAt ?? undefined,
      shakeStartedAt: jar.prep.shakeStartedAt ?? undefined,
      marked: run?.marks ?? [],
      hasReading: jar.status === 'read'
    }
  };
}

/** What a jar waits for at a time. */
export function viewJar(jar: JarRecord, now: number): JarView {
  const method = methodByKey(jar.methodKey);
  const { run, facts } = runFacts(jar);
  return { jar, method, run, step: nextStep(method, facts, now) };
}

/** Views of all jars on the shelf, in shelf order. */
export function viewShelf(jars: readonly JarRecord[], now: number): JarView[] {
  return jars.map((jar) => viewJar(jar, now));
}

/** The same views by urgency, most pressing first. */
export function byUrgency(views: readonly JarView[]): JarView[] {
  return [...views].sort((a, b) => compareUrgency(a.step, b.step));
}

/** Every timed step ahead on the whole bench, soonest first. */
export function aheadOnBench(views: readonly JarView[], now: number): (NextStep & { jar: JarRecord })[] {
  return views
    .flatMap(({ jar, method }) =>
      stepsAhead(method, runFacts(jar).facts, now).map((step) => ({ ...step, jar }))
    )
    .sort((a, b) => (a.dueAt ?? 0) - (b.dueAt ?? 0));
}

/** The marks that count: the last of each layer, in order of time. */
export function standingMarks(marks: readonly MarkRecord[]): MarkRecord[] {
  const last = new Map<LayerName, MarkRecord>();
  for (const mark of [...marks].sort((a, b) => a.at - b.at)) last.set(mark.layer, mark);
  return [...last.values()].sort((a, b) => a.at - b.at);
}

/** The jar as it should look now; undefined before it is set down. */
export function pictureOf(view: JarView, now: number): JarPicture | undefined {
  const { jar, run, method } = view;
  if (!run) return undefined;
  const marks = standingMarks(run.marks).map((m) => ({
    layer: m.layer,
    timeS: (m.at - run.setDownAt) / 1000,
    heightMm: m.heightMm ?? undefined
  }));
  const solidsKgM2 = solidsFromDryFill(jar.soilMm);
  const facts = { columnMm: jar.waterMm, tempC: jar.tempC, solidsKgM2, method, marks };
  return predictJar(facts, Math.max(0, (now - run.setDownAt) / 1000));
}

/** The size a mark cuts in its jar, um, crowding counted for the planning soil. */
export function cutOfMark(jar: JarRecord, seconds: number): number {
  const column = jarColumn({
    columnMm: jar.waterMm,
    tempC: jar.tempC,
    solidsKgM2: solidsFromDryFill(jar.soilMm)
  });
  return shownCut(column, jar.waterMm, jar.tempC, seconds);
}
