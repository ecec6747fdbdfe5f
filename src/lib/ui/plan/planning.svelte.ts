import { goto } from '$app/navigation';
import { record } from '$lib/browser/actions';
import { clock } from '$lib/browser/clock.svelte';
import { PlanWork } from '$lib/browser/work';
import { quietOf, shutHours } from '$lib/workbench/hours';
import type { JarView } from '$lib/workbench/jars';
import { jobOf } from '$lib/workbench/jobs';
import { t } from '$lib/words';
import type { Format } from '$lib/words/format';
import { keepsDraft } from '../fields/kept.svelte';
import { readMinuteOfDay, readMoment } from '../fields/time';

const MINUTE = 60_000;

/** What is said of a timetable: jars left out, set-downs that were moved by hand, from when on, and hours at home. */
export type PlanTexts = {
  left: string[];
  pinned: Record<string, number>;
  earliest: string;
  homeFrom: string;
  homeTo: string;
};

/** A timetable that is being made for the jars of a bench. Call it while the page is set up. */
export function planning(shelf: () => JarView[], profiled: () => Format) {
  const views = $derived(shelf());
  const format = $derived(profiled());
  const ready = $derived(views.filter((v) => !v.run && v.step.kind !== 'finish'));
  const standing = $derived(views.filter((v) => v.run && !v.jar.hasReading));
  let form = $state<PlanTexts>({
    left: [],
    pinned: {},
    earliest: '',
    homeFrom: '',
    homeTo: ''
  });
  const forget = keepsDraft<PlanTexts>(
    'timetable',
    (kept) => (form = { ...form, ...kept }),
    () => $state.snapshot(form)
  );

  /** The minute that is running: a plan must not change with every second. */
  const minute = $derived(Math.ceil(clock.now / MINUTE) * MINUTE);
  const typed = $derived({ from: readMinuteOfDay(form.homeFrom), to: readMinuteOfDay(form.homeTo) });
  const home = $derived(
    typed.from === undefined || typed.to === undefined ? undefined : { from: typed.from, to: typed.to }
  );
  const wanted = $derived(readMoment(form.earliest));
  const errors = $derived({
    homeFrom: form.homeFrom !== '' && typed.from === undefined ? t.profile.badTime : undefined,
    homeTo: form.homeTo !== '' && typed.to === undefined ? t.profile.badTime : undefined,
    earliest:
      form.earliest !== '' && wanted === undefined
        ? t.fields.badMoment
        : wanted !== undefined && wanted < minute - MINUTE
          ? t.timetable.past
          : undefined
  });
  const earliestAt = $derived(Math.max(minute, wanted ?? 0));
  const shut = $derived(shutHours({ quiet: quietOf(format.profile), home }, format.zone, earliestAt, 9));
  const chosen = $derived(ready.filter((v) => !form.left.includes(v.jar.id)));
  const pinOf = (id: string) => (form.pinned[id] >= minute ? form.pinned[id] : undefined);
  const jobs = $derived([
    ...standing.map((v) => jobOf(v, minute)),
    ...chosen.map((v) => jobOf(v, minute, pinOf(v.jar.id)))
  ]);

  const work = new PlanWork();
  $effect(() => {
    void work.ask($state.snapshot({ jobs, earliestAt, shut }));
  });
  const plan = $derived(work.answer);
  const lanes = $derived(
    [...chosen, ...standing]
      .filter((v) => plan && v.jar.id in plan.setDownAt)
      .map((v) => ({
        id: v.jar.id,
        code: v.jar.code,
        name: v.method.name,
        free: !v.run,
        pinned: pinOf(v.jar.id) !== undefined
      }))
  );
  const kept = $derived(
    chosen.length > 0 &&
      plan !== undefined &&
      chosen.every((v) => v.jar.plannedAt === plan.setDownAt[v.jar.id])
  );
  const hasPlan = $derived(ready.some((v) => v.jar.plannedAt !== null));

  function unpin(id: string) {
    const { [id]: _, ...others } = form.pinned;
    form.pinned = others;
  }
  async function keep() {
    if (!plan) return;
    const jars = chosen.map((v) => ({ testId: v.jar.id, setDownAt: plan.setDownAt[v.jar.id] }));
    if (await record('bench.plan', { jars }, t.timetable.kept(jars.length))) {
      forget();
      await goto('/');
    }
  }
  async function drop() {
    const jars = ready
      .filter((v) => v.jar.plannedAt !== null)
      .map((v) => ({ testId: v.jar.id, setDownAt: null }));
    await record('bench.plan', { jars }, t.timetable.dropped);
  }

  const view = $derived({
    errors,
    ready,
    /** Jars that the timetable is for. */
    chosen,
    plan,
    lanes,
    shut,
    home,
    earliestAt,
    minute,
    /** Whether the plan stands on the bench as it is. */
    kept,
    hasPlan
  });
  return {
    keep,
    drop,
    pin: (id: string, at: number) => (form.pinned = { ...form.pinned, [id]: at }),
    unpin,
    unpinAll: () => (form.pinned = {}),
    get texts() {
      return form;
    },
    set texts(to: PlanTexts) {
      form = to;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
