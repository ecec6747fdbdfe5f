import {
  compareUrgency,
  heightByEye,
  isPressing,
  jarColumn,
  nextStep,
  predictJar,
  shownCut,
  columnFacts,
  stepsAhead,
  type JarPicture,
  type LineName,
  type RunMethod,
  type NextStep
} from '../core/index.ts';
import { standingMarks } from '../contract/reading.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import type { ReadingEntry } from '../contract/records/reading.ts';
import type { RunRecord } from '../contract/records/run.ts';

/** A jar with what it waits for. */
export type JarView = { jar: JarRecord; method: RunMethod; run: RunRecord | null; step: NextStep };

/** Facts of a jar's run as the timetable takes them. */
export function runFacts(jar: JarRecord) {
  const run = jar.run && jar.run.endedAt === null ? jar.run : null;
  return {
    run,
    facts: {
      setDownAt: run?.setDownAt,
      plannedAt: jar.plannedAt ?? undefined,
      shakeStartedAt: jar.prep.shakeStartedAt ?? undefined,
      marked: run?.marks ?? [],
      passed: run?.passed,
      stoodAlready: run ? run.stood !== null : undefined,
      gauged: run?.gauges ?? [],
      hasReading: jar.status === 'read',
      stillAt: run?.stillAt ?? undefined
    }
  };
}

/** What a jar waits for at a time. */
export function viewJar(jar: JarRecord, now: number): JarView {
  const { run, facts } = runFacts(jar);
  return { jar, method: jar.method, run, step: nextStep(jar.method, facts, now) };
}

/** Views of all jars on the shelf, in shelf order. */
export function viewShelf(jars: readonly JarRecord[], now: number): JarView[] {
  return jars.map((jar) => viewJar(jar, now));
}

/** The same views by urgency, most pressing first. */
export function byUrgency(views: readonly JarView[]): JarView[] {
  return [...views].sort((a, b) => compareUrgency(a.step, b.step));
}

/**
 * The order on the shelf: what is called stands in front, by its urgency, so that it is on the screen however many jars
 * there are; the rest keep the order in which they were set, for people know their jars by their places.
 */
export function shelfOrder(views: readonly JarView[]): JarView[] {
  const called = byUrgency(views.filter((v) => isPressing(v.step)));
  return [...called, ...views.filter((v) => !isPressing(v.step))];
}

/** A step of a jar that has its time, ms UTC. */
export type TimedStep = NextStep & { dueAt: number; jar: JarRecord };

/** Every timed step ahead on the whole bench, soonest first. */
export function aheadOnBench(views: readonly JarView[], now: number): TimedStep[] {
  return views
    .flatMap(({ jar, method }) =>
      stepsAhead(method, runFacts(jar).facts, now).flatMap((step) =>
        step.dueAt === undefined ? [] : [{ ...step, jar }]
      )
    )
    .sort((a, b) => a.dueAt - b.dueAt);
}

/** What comes after what is called, on any jar: the marks that follow on the same jar among them. */
export function comesAfter(views: readonly JarView[], head: JarView, now: number): TimedStep | undefined {
  return aheadOnBench(views, now).find(
    ({ state, jar, kind, dueAt }) =>
      state === 'waiting' && !(jar.id === head.jar.id && kind === head.step.kind && dueAt === head.step.dueAt)
  );
}

/** A deposit this young grows by the second, ms; later a quarter of a minute moves nothing that the eye can see. */
const YOUNG_MS = 10 * 60_000;
const OLD_STEP_MS = 15_000;

/** The moment at which a jar is drawn: now while it is young, in steps once it moves slowly. */
export function drawnMoment(run: RunRecord | null, now: number): number {
  if (!run || now - run.setDownAt < YOUNG_MS) return now;
  return Math.floor(now / OLD_STEP_MS) * OLD_STEP_MS;
}

/** The jar as it should look now; undefined before it is set down. */
export function pictureOf(
  view: Pick<JarView, 'jar' | 'run' | 'method'>,
  now: number
): JarPicture | undefined {
  const { jar, run, method } = view;
  if (!run) return undefined;
  const marks = standingMarks(run.marks).map((m) => ({
    layer: m.layer,
    timeS: (m.at - run.setDownAt) / 1000,
    heightMm: m.heightMm ?? undefined
  }));
  const facts = { ...columnFacts(jar), method, marks };
  return predictJar(facts, Math.max(0, (now - run.setDownAt) / 1000));
}

/** The layers of a jar as they were read, for its drawing; shares that an eye gave fill what its dry soil would. */
export function readLayers(
  jar: Pick<JarRecord, 'soilMm' | 'waterMm'>,
  entry: ReadingEntry
): JarPicture['layers'] {
  // Smeared up to the top: no line is drawn where none was seen.
  if (entry.figures === 'smeared') return [{ layer: 'clay', topMm: jar.waterMm }];
  const mm = (line: number) => (entry.figures ? heightByEye(line, jar.soilMm) : line);
  return (['gravel', 'sand', 'silt', 'clay'] as const).flatMap((layer) => {
    const line = entry.lines[layer];
    return line ? [{ layer, topMm: mm(line.mm) }] : [];
  });
}

/** The size a mark cuts in its jar, um, crowding counted for the planning soil. */
export function cutOfMark(jar: JarRecord, seconds: number): number {
  return shownCut(jarColumn(columnFacts(jar)), jar.waterMm, jar.tempC, seconds);
}

/** Heights that the lines of a jar may be looked for at, mm: where the layers should lie by now, one over the other. */
export function expectedLines(view: JarView, now: number): Record<LineName, number> {
  const out: Partial<Record<LineName, number>> = {};
  for (const layer of pictureOf(view, now)?.layers ?? []) out[layer.layer] = layer.topMm;
  const top = Math.max(10, ...Object.values(out));
  // Each hangs a little over the one below, so that every strip can be taken hold of.
  const sand = out.sand ?? top * 0.5;
  const silt = out.silt ?? Math.max(top * 0.85, sand + 1);
  const clay = Math.max(out.clay ?? 0, top, silt);
  return {
    gravel: 2,
    coarse: sand * 0.4,
    sand,
    silt,
    clay,
    skin: clay + 2,
    surface: view.jar.waterMm
  };
}
