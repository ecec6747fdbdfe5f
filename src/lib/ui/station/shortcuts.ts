import { tick } from 'svelte';
import { goto } from '$app/navigation';
import { page } from '$app/state';
import { setDown } from '$lib/browser/actions';
import { picked } from '$lib/browser/picked.svelte';
import { pressGauge, pressMark } from '$lib/browser/press.svelte';
import { say } from '$lib/browser/toasts';
import { keyTarget } from '$lib/workbench/called';
import { byUrgency, type JarView } from '$lib/workbench/jars';
import { t } from '$lib/words';
import type { KeyActions } from './keys';

/** Where keys are pressed: on the page of one jar they act on no other. */
export type Screen = { subject: string | null; bench: boolean; picked: string | null };

/** What the keys do on the jars of a bench, in the order they stand in. */
export function shortcuts(o: {
  views: () => readonly JarView[];
  screen: () => Screen;
  help: () => void;
}): KeyActions {
  const target = (act: 'mark' | 'set-down' | 'read') => keyTarget(act, o.views(), o.screen());
  const alone = () => o.screen().subject !== null;

  async function goTo(view: JarView | undefined) {
    if (!view) return;
    picked.id = view.jar.id;
    if (page.url.pathname !== '/') await goto('/');
    await tick();
    document.getElementById(`jar-${view.jar.id}`)?.focus();
  }

  /** A mark, or on a cylinder the moment of its reading. */
  function markNow() {
    const view = target('mark');
    if (view?.step.layer) void pressMark(view.jar, view.step.layer, { anyJar: true });
    else if (view?.step.no !== undefined) void pressGauge(view.jar, view.step.no);
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
    next: () => void goTo(byUrgency([...o.views()])[0]),
    pick: (i) => void goTo(o.views()[i]),
    mark: markNow,
    setDown: setDownNow,
    read: readPicked,
    triangle: toTriangle,
    find: () => void goto('/log?find=1'),
    help: o.help
  };
}
