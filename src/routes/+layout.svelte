<script lang="ts">
  import { onMount, tick, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import '../app.css';
  import { formatFor } from '$lib/ui/format';
  import { callsOf, waitingNow } from '$lib/ui/jar/calls';
  import { byUrgency, viewShelf, type JarView } from '$lib/ui/jar/view';
  import { dueLine } from '$lib/ui/jar/words';
  import { markLayer, setDown, takeGauge } from '$lib/ui/state/actions';
  import { callForDue, soundWoken } from '$lib/ui/state/alerts.svelte';
  import { clock, startClock } from '$lib/ui/state/clock.svelte';
  import { startLive } from '$lib/ui/state/live';
  import { lookAgain, outbox, startOutbox } from '$lib/ui/state/outbox.svelte';
  import { withPending } from '$lib/ui/state/pending';
  import { picked } from '$lib/ui/state/picked.svelte';
  import { soundAwake, wakeSound } from '$lib/ui/state/sounds';
  import { say } from '$lib/ui/state/toasts';
  import { keepScreenOn, watchScreen } from '$lib/ui/state/wake';
  import Header from '$lib/ui/station/Header.svelte';
  import { startKeys } from '$lib/ui/station/keys';
  import KeysSheet from '$lib/ui/station/KeysSheet.svelte';
  import Notices from '$lib/ui/station/Notices.svelte';
  import { t } from '$lib/ui/strings';
  import Grains from '$lib/ui/vessel/Grains.svelte';

  let { data, children } = $props();

  let keysOpen = $state(false);
  /** The sheet is made when it is first asked for. */
  let keysAsked = $state(false);
  const format = $derived(formatFor(data.profile, data.zone));
  const jars = $derived(withPending(data.jars, outbox.waiting));
  const views = $derived(viewShelf(jars, clock.now));
  const order = $derived(byUrgency(views));
  const pressing = $derived(order.find((v) => v.step.state === 'due' || v.step.state === 'late'));

  const pickedView = () => views.find((v) => v.jar.id === picked.id);

  function showKeys() {
    keysAsked = true;
    keysOpen = true;
  }

  async function goPick(view: JarView | undefined) {
    if (!view) return;
    picked.id = view.jar.id;
    if (page.url.pathname !== '/') await goto('/');
    await tick();
    document.getElementById(`jar-${view.jar.id}`)?.focus();
  }

  /** A mark, or on a cylinder the moment of its reading: the picked one, else the most pressing. */
  function markNow() {
    const wants = (v: JarView) => v.step.kind === 'mark' || v.step.kind === 'gauge';
    const own = pickedView();
    const view = own && wants(own) ? own : order.find((v) => wants(v) && v.step.state !== 'waiting');
    if (view?.step.layer) void markLayer(view.jar, view.step.layer);
    else if (view?.step.no !== undefined) void takeGauge(view.jar, view.step.no);
    else say(t.keys.noMark);
  }

  function setDownNow() {
    const own = pickedView();
    const view = own && !own.run ? own : views.find((v) => !v.run);
    if (view) void setDown(view.jar);
    else say(t.keys.noSetDown);
  }

  function readPicked() {
    const view = pickedView() ?? order.find((v) => v.step.kind === 'read' && v.step.state === 'ready');
    if (view?.run) void goto(`/read/${view.jar.id}`);
    else say(t.keys.noRead);
  }

  function toTriangle() {
    const here = document.getElementById('triangle');
    if (here) here.scrollIntoView({ block: 'center' });
    else void goto('/know');
  }

  function deviceLook() {
    const dark = matchMedia('(prefers-color-scheme: dark)').matches;
    document.cookie = `tivrel-dark=${dark ? 1 : 0}; path=/; max-age=31536000; samesite=lax`;
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    document.cookie = `tivrel-zone=${zone}; path=/; max-age=31536000; samesite=lax`;
    if (zone !== data.zone) void lookAgain().catch(() => {});
  }

  onMount(() => {
    deviceLook();
    const touched = () => {
      wakeSound();
      setTimeout(() => soundAwake() && soundWoken(), 50);
    };
    addEventListener('pointerdown', touched);
    addEventListener('keydown', touched);
    const ticking = startClock();
    const stops = [
      ticking.stop,
      startLive(),
      watchScreen(),
      startKeys({
        next: () => void goPick(order[0]),
        pick: (i) => void goPick(views[i]),
        mark: markNow,
        setDown: setDownNow,
        read: readPicked,
        triangle: toTriangle,
        find: () => void goto('/log?find=1'),
        help: showKeys
      })
    ];
    void Promise.all([startOutbox(), ticking.measured]).then(([stop]) => {
      stops.push(stop);
      // Keys, queue and clock are up: from here on a press is never lost.
      document.documentElement.dataset.awake = '';
    });
    return () => {
      stops.forEach((stop) => stop());
      removeEventListener('pointerdown', touched);
      removeEventListener('keydown', touched);
    };
  });

  $effect(() => {
    const { theme } = data.profile;
    const dark = theme === 'device' ? matchMedia('(prefers-color-scheme: dark)').matches : theme === 'night';
    document.documentElement.dataset.mode = dark ? 'dark' : 'light';
  });

  $effect(() => {
    const now = clock.now;
    const calls = callsOf(views);
    untrack(() => callForDue(calls, format, now));
    keepScreenOn(waitingNow(calls, now));
  });

  const alarmTitle = $derived(
    pressing ? `● ${dueLine(pressing.jar.code, pressing.step, format, clock.now)}` : undefined
  );
</script>

<svelte:head>
  <title>{alarmTitle ?? (page.data.title ? `${page.data.title} · ${t.product}` : t.product)}</title>
  {#if pressing}<link rel="icon" href="/favicon-due.svg" />{/if}
</svelte:head>

<Grains />
<Header {views} now={clock.now} {format} onkeys={showKeys} />
<main class="page" id="work">
  {@render children()}
</main>
{#if keysAsked}<KeysSheet bind:open={keysOpen} />{/if}
<Notices />
