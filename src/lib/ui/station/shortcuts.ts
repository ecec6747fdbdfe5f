import { tick } from 'svelte';
import { goto } from '$app/navigation';
import { page } from '$app/state';
import { setDown } from '$lib/browser/actions';
import { picked } from '$lib/browser/picked.svelte';
import { pressHole } from '$lib/browser/holes';
import { correctedNow } from '$lib/browser/clock.svelte';
import { press, pressGauge, pressMark } from '$lib/browser/press.svelte';
import { say } from '$lib/browser/toasts';
import { calledOn, keyTarget } from '$lib/workbench/called';
import { keyHole, type HoleView } from '$lib/workbench/holes';
import type { JarView } from '$lib/workbench/jars';
import { justBefore, type BenchNow } from '$lib/workbench/steady';
import { t } from '$lib/words';
import type { KeyActions } from './keys';

/** Where keys are pressed: on the page of one jar they act on no other. */
export type Screen = { subject: string | null; bench: boolean; picked: string | null };

/** What the keys do on the jars of a bench, in the order they stand in. */
export function shortcuts(o: {
  now: () => BenchNow;
  holes: () => readonly HoleView[];
  screen: () => Screen;
  help: () => void;
}): KeyActions {
  const target = (act: 'mark' | 'set-down' | 'read') => keyTarget(act, o.now(), o.screen());
  const alone = () => o.screen().subject !== null;

  async function goTo(view: JarView | undefined) {
    if (!view) return;
    picked.id = view.jar.id;
    if (page.url.pathname !== '/') await goto('/');
    await tick();
    document.getElementById(`jar-${view.jar.id}`)?.focus();
  }

  /** As long as the hand of the last press is on, nothing else is called: a further press is asked about the jar that comes next. */
  const underHand = (): JarView | undefined =>
    alone() || !press.heldAt(correctedNow()) ? undefined : calledOn(o.now().views, null);

  /** A mark, on a cylinder the moment of its reading, or that of the water in a hole: jars that call come first. */
  function markNow() {
    const ofPage = page.route.id === '/holes/[id]' ? page.params.id : undefined;
    const jarFirst = alone() || (ofPage === undefined && o.now().called !== undefined);
    const hole = jarFirst ? undefined : keyHole(o.holes(), ofPage);
    const view = hole || ofPage !== undefined ? undefined : (target('mark') ?? underHand());
    if (view?.step.layer) {
      const before = alone() ? undefined : justBefore(o.now(), view.jar.id);
      void pressMark(view.jar, view.step.layer, { anyJar: true, before });
    } else if (view?.step.no !== undefined) void pressGauge(view.jar, view.step.no);
    else if (hole) void pressHole(hole.hole, 'height');
    else say(alone() ? t.keys.noMarkHere : t.keys.noMark);
  }

  function setDownNow() {
    const view = target('set-down');
    if (view) void setDown(view.jar);
    else say(alone() ? t.keys.noSetDownHere : t.keys.noSetDown);
  }

  function readPicked() {
    const view = target('read');
    if (view) void goto(`/read/${view.jar.id}`);
    else say(t.keys.noRead);
  }

  function toTriangle() {
    const here = document.getElementById('triangle');
    if (here) here.scrollIntoView({ block: 'center' });
    else void goto('/know');
  }

  return {
    next: () => void goTo(o.now().head),
    pick: (i) => void goTo(o.now().views[i]),
    mark: markNow,
    setDown: setDownNow,
    read: readPicked,
    triangle: toTriangle,
    find: () => void goto('/log?find=1'),
    help: o.help
  };
}
