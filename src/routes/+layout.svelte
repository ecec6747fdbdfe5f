<script lang="ts">
  import { MediaQuery } from 'svelte/reactivity';
  import { onMount, tick, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import '../app.css';
  import { formatFor } from '$lib/words/format';
  import { callsOf, waitingNow } from '$lib/workbench/calls';
  import { byUrgency, shelfOrder, viewShelf, type JarView } from '$lib/workbench/jars';
  import { dueLine } from '$lib/words/steps';
  import MarkAsked from '$lib/ui/jar/MarkAsked.svelte';
  import { calledOn, jarOfPage, keyTarget } from '$lib/workbench/called';
  import { setDown } from '$lib/browser/actions';
  import { callForDue, soundWoken } from '$lib/browser/alerts.svelte';
  import { clock, startClock } from '$lib/browser/clock.svelte';
  import { startLive } from '$lib/browser/live';
  import { lookAgain, outbox, startOutbox } from '$lib/browser/outbox.svelte';
  import { withPending } from '$lib/workbench/pending';
  import { setShelf } from '$lib/browser/shelf';
  import { picked } from '$lib/browser/picked.svelte';
  import { press, pressGauge, pressMark } from '$lib/browser/press.svelte';
  import { soundAwake, wakeSound } from '$lib/browser/sounds';
  import { say } from '$lib/browser/toasts';
  import { keepScreenOn, watchScreen } from '$lib/browser/wake';
  import Header from '$lib/ui/station/Header.svelte';
  import { startKeys } from '$lib/ui/station/keys';
  import KeysSheet from '$lib/ui/station/KeysSheet.svelte';
  import Notices from '$lib/ui/station/Notices.svelte';
  import { t } from '$lib/words';
  import Grains from '$lib/ui/vessel/Grains.svelte';

  let { data, children } = $props();

  let keysOpen = $state(false);
  /** The sheet is made when it is first asked for. */
  let keysAsked = $state(false);
  const format = $derived(formatFor(data.profile, data.zone));
  const jars = $derived(withPending(data.jars, outbox.waiting));
  const views = $derived(inPlace(shelfOrder(viewShelf(jars, clock.now))));
  /** While a hand is on the glass no other jar slides under it. */
  let places: string[] = [];
  function inPlace(sorted: JarView[]): JarView[] {
    if (press.heldAt(clock.now)) {
      const place = (v: JarView) => (places.includes(v.jar.id) ? places.indexOf(v.jar.id) : places.length);
      return [...sorted].sort((a, b) => place(a) - place(b));
    }
    places = sorted.map((v) => v.jar.id);
    return sorted;
  }
  setShelf(() => views);
  const order = $derived(byUrgency(views));
  /** What the title and the header call. */
  const pressing = $derived(calledOn(views, picked.id));
  // The page of one jar picks that jar.
  $effect(() => {
    if (screen.subject !== null) picked.id = screen.subject;
  });

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

  /** Where the keys are pressed: on the page of one jar they act on no other. */
  const screen = $derived({
    subject: jarOfPage(page.route.id, page.params as Record<string, string>),
    bench: page.url.pathname === '/',
    picked: picked.id
  });

  /** A mark, or on a cylinder the moment of its reading. */
  function markNow() {
    const view = keyTarget('mark', views, screen);
    if (view?.step.layer) void pressMark(view.jar, view.step.layer, { anyJar: true });
    else if (view?.step.no !== undefined) void pressGauge(view.jar, view.step.no);
    else say(screen.subject ? t.keys.noMarkHere : t.keys.noMark);
  }

  function setDownNow() {
    const view = keyTarget('set-down', views, screen);
    if (view) void setDown(view.jar);
    else say(screen.subject ? t.keys.noSetDownHere : t.keys.noSetDown);
  }

  function readPicked() {
    const view = keyTarget('read', views, screen);
    if (view) void goto(`/read/${view.jar.id}`);
    else say(t.keys.noRead);
  }

  function toTriangle() {
    const here = document.getElementById('triangle');
    if (here) here.scrollIntoView({ block: 'center' });
    else void goto('/know');
  }

  /** A device may turn dark at dusk, with the bench open. */
  const nightfall = new MediaQuery('(prefers-color-scheme: dark)');

  function deviceLook() {
    document.cookie = `tivrel-dark=${nightfall.current ? 1 : 0}; path=/; max-age=31536000; samesite=lax`;
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
      startLive(() => data.news),
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
    const dark = theme === 'device' ? nightfall.current : theme === 'night';
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
<Header {views} called={pressing} now={clock.now} {format} onkeys={showKeys} />
<main class="page" id="work">
  {@render children()}
</main>
<MarkAsked />
{#if keysAsked}<KeysSheet bind:open={keysOpen} />{/if}
<Notices />
