<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import '../app.css';
  import { formatFor } from '$lib/words/format';
  import { callsOf, waitingNow } from '$lib/workbench/calls';
  import { viewShelf } from '$lib/workbench/jars';
  import { steadyBench } from '$lib/workbench/steady';
  import { hand, watchHand } from '$lib/browser/hand.svelte';
  import { aheadLine, dueLine } from '$lib/words/steps';
  import MarkAsked from '$lib/ui/jar/MarkAsked.svelte';
  import { jarOfPage } from '$lib/workbench/called';
  import { callForDue, soundWoken } from '$lib/browser/alerts.svelte';
  import { nightfall, rememberDevice } from '$lib/browser/look';
  import { clock, startClock } from '$lib/browser/clock.svelte';
  import { startLive } from '$lib/browser/live';
  import { outbox, startOutbox } from '$lib/browser/outbox.svelte';
  import { callsOfHoles, viewHole } from '$lib/workbench/holes';
  import { byPress, calling } from '$lib/workbench/press';
  import { callsOfTrials, viewTrial } from '$lib/workbench/trials';
  import { callsOfReminders } from '$lib/workbench/reminders';
  import { withWaiting } from '$lib/contract/waiting';
  import { setBench, setGround, setPieces } from '$lib/browser/shelf';
  import { picked } from '$lib/browser/picked.svelte';
  import { press } from '$lib/browser/press.svelte';
  import { soundAwake, wakeSound } from '$lib/browser/sounds';
  import { keepScreenOn, watchScreen } from '$lib/browser/wake';
  import Header from '$lib/ui/station/Header.svelte';
  import { startKeys } from '$lib/ui/station/keys';
  import { shortcuts } from '$lib/ui/station/shortcuts';
  import KeysSheet from '$lib/ui/station/KeysSheet.svelte';
  import Notices from '$lib/ui/station/Notices.svelte';
  import { t } from '$lib/words';
  import Grains from '$lib/ui/vessel/Grains.svelte';

  let { data, children } = $props();

  let keysOpen = $state(false);
  /** The sheet is made when it is first asked for. */
  let keysAsked = $state(false);
  const format = $derived(formatFor(data.profile, data.zone));
  const jars = $derived(withWaiting('jar', data.jars, outbox.waiting));
  const steady = steadyBench();
  const bench = $derived(
    steady(viewShelf(jars, clock.now), {
      pickedId: picked.id,
      handNear: hand.near || press.heldAt(clock.now) !== null,
      now: clock.now
    })
  );
  setBench(() => bench);
  const { views, called: pressing } = $derived(bench);
  const holes = $derived(
    byPress(withWaiting('hole', data.holes, outbox.waiting).map((hole) => viewHole(hole, clock.now)))
  );
  setGround(() => holes);
  const pieces = $derived(
    byPress(
      withWaiting('trial', data.trials, outbox.waiting).map((one) => viewTrial(one, data.usual, clock.now))
    )
  );
  setPieces(() => pieces);
  // The page of one jar picks that jar.
  $effect(() => {
    if (screen.subject !== null) picked.id = screen.subject;
  });

  function showKeys() {
    keysAsked = true;
    keysOpen = true;
  }

  /** Where the keys are pressed: on the page of one jar they act on no other. */
  const screen = $derived({
    subject: jarOfPage(page.route.id, page.params as Record<string, string>),
    bench: page.url.pathname === '/',
    picked: picked.id
  });

  onMount(() => {
    rememberDevice(data.zone);
    // Before the door there is nothing to keep, and the server would refuse to be asked.
    if (!data.entered) {
      document.documentElement.dataset.awake = '';
      return;
    }
    const touched = () => {
      wakeSound();
      setTimeout(() => soundAwake() && soundWoken(), 50);
    };
    addEventListener('pointerdown', touched);
    addEventListener('keydown', touched);
    const ticking = startClock();
    const stops = [
      ticking.stop,
      startLive(() => data.news),
      watchScreen(),
      watchHand(),
      startKeys(shortcuts({ now: () => bench, holes: () => holes, screen: () => screen, help: showKeys }))
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
    const dark = theme === 'device' ? nightfall.current : theme === 'night';
    document.documentElement.dataset.mode = dark ? 'dark' : 'light';
  });

  $effect(() => {
    const now = clock.now;
    const calls = [
      ...callsOf(views, pressing),
      ...callsOfHoles(holes),
      ...callsOfTrials(pieces),
      ...callsOfReminders(data.reminders)
    ];
    untrack(() => callForDue(calls, format, now));
    keepScreenOn(waitingNow(calls, now));
  });

  const holeCalls = $derived(pressing ? undefined : calling(holes));
  const trialCalls = $derived(pressing ? undefined : calling(pieces));
  const alarmTitle = $derived.by(() => {
    if (pressing) return `● ${dueLine(pressing.jar.code, pressing.step, format, clock.now)}`;
    if (holeCalls) return `● ${aheadLine(holeCalls, format, clock.now)}`;
    return trialCalls && `● ${aheadLine(trialCalls, format, clock.now)}`;
  });
</script>

<svelte:head>
  <title>{alarmTitle ?? (page.data.title ? `${page.data.title} · ${t.product}` : t.product)}</title>
  {#if alarmTitle}<link rel="icon" href="/favicon-due.svg" />{/if}
</svelte:head>

<Grains />
<Header
  shut={!data.entered}
  {views}
  {holes}
  {pieces}
  called={pressing}
  head={bench.head}
  now={clock.now}
  {format}
  onkeys={showKeys}
/>
<main class="page" id="work">
  {#if data.person?.role === 'reader'}<p class="faded small no-print mt-3">{t.people.reading}</p>{/if}
  {@render children()}
</main>
<MarkAsked />
{#if keysAsked}<KeysSheet bind:open={keysOpen} />{/if}
<Notices />
