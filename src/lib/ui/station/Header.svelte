<!--
@component The stations as a line in work order over a ruler, and what is due beside them. Before the passphrase is given
nothing is known of either, and neither is shown.
-->
<script lang="ts">
  import { page } from '$app/state';
  import type { Format } from '$lib/words/format';
  import type { HoleView } from '$lib/workbench/holes';
  import type { TrialView } from '$lib/workbench/trials';
  import type { JarView } from '$lib/workbench/jars';
  import { t } from '$lib/words';
  import DueNow from './DueNow.svelte';

  type Props = {
    /** Whether the door is still shut. */
    shut: boolean;
    views: JarView[];
    holes: HoleView[];
    pieces: TrialView[];
    called?: JarView;
    head?: JarView;
    now: number;
    format: Format;
    onkeys: () => void;
  };
  let { shut, views, holes, pieces, called, head, now, format, onkeys }: Props = $props();

  const stations = [
    { href: '/plan', name: t.stations.plan, own: ['/plan'] },
    { href: '/', name: t.stations.bench, own: ['/', '/set', '/stands', '/tests', '/holes', '/trials'] },
    { href: '/read', name: t.stations.read, own: ['/read'] },
    { href: '/know', name: t.stations.know, own: ['/know'] },
    { href: '/act', name: t.stations.act, own: ['/act'] },
    { href: '/log', name: t.stations.log, own: ['/log', '/samples'] },
    { href: '/practice', name: t.stations.practice, own: ['/practice', '/lesson'] },
    { href: '/profile', name: t.stations.profile, own: ['/profile'] }
  ];
  /** On a phone so many stand in the bar under the thumb; the rest come up when they are asked for. */
  const AT_THE_THUMB = 4;
  let open = $state(false);
  /** A finished test belongs to the log, a jar in progress to the bench. */
  const station = $derived(page.data.test?.status === 'finished' ? '/log' : page.url.pathname);
  const isHere = (own: string[]) =>
    own.some((path) => (path === '/' ? station === '/' : station.startsWith(path)));
  /** The station one is at, where it is not in the bar. */
  const spareHere = $derived(stations.slice(AT_THE_THUMB).find((s) => isHere(s.own)));
</script>

<header class="no-print">
  <a class="skip absolute left-[-999px]" href="#work">{t.common.skip}</a>
  <div class="line grid grid-cols-[auto_1fr_auto] items-end gap-y-0 gap-x-6 min-h-[60px]">
    <div class="top">
      <a href="/" class="wordmark">{t.product}</a>
      {#if !shut}<DueNow {views} {holes} {pieces} {called} first={head} {now} {format} />{/if}
    </div>
    {#if !shut}
      <nav aria-label={t.stations.all} class:open>
        <ul
          class="plain-list flex gap-y-2 gap-x-5 max-md:grid max-md:grid-cols-[repeat(5,minmax(0,1fr))] max-md:gap-0"
          id="stations"
        >
          {#each stations as s, i (s.href)}
            <li class:spare={i >= AT_THE_THUMB}>
              <a
                href={s.href}
                aria-current={isHere(s.own) ? 'page' : undefined}
                onclick={() => (open = false)}>{s.name}</a
              >
            </li>
          {/each}
          <li class="for-keys">
            <button type="button" class="keys" onclick={onkeys}>{t.keys.button}</button>
          </li>
          <li class="hidden max-md:block">
            <button
              type="button"
              class="keys"
              class:here={!open && spareHere}
              aria-expanded={open}
              aria-controls="stations"
              onclick={() => (open = !open)}
              >{open ? t.stations.fewer : (spareHere?.name ?? t.stations.more)}</button
            >
          </li>
        </ul>
      </nav>
    {/if}
  </div>
  <div class="ruler max-md:my-0 max-md:mx-4" aria-hidden="true"></div>
</header>

<style>
  /* What is due stays in sight on every station, however far down one reads. */
  header {
    position: sticky;
    top: 0;
    z-index: 12;
    max-width: 1240px;
    margin: 0 auto;
    padding: var(--spacing-3) var(--spacing-5) 0;
    background: var(--paper);
  }
  .skip:focus {
    left: 12px;
    top: 8px;
    background: var(--sheet);
    padding: var(--spacing-2) var(--spacing-4);
    z-index: 20;
  }
  .wordmark {
    font: 700 var(--text-2xl)/1 var(--face-head);
    color: var(--ink);
    text-decoration: none;
    padding-bottom: var(--spacing-5);
  }
  nav a,
  .keys {
    display: flex;
    align-items: flex-end;
    min-height: 44px;
    padding: 0 var(--spacing-1) var(--spacing-4);
    font: inherit;
    font-size: var(--text-base);
    color: var(--faded);
    text-decoration: none;
    background: none;
    border: 0;
    cursor: pointer;
    position: relative;
  }
  nav a:hover,
  .keys:hover {
    color: var(--ink);
  }
  nav a[aria-current] {
    color: var(--ink);
    font-weight: 700;
  }
  nav a[aria-current]::after {
    content: '';
    position: absolute;
    left: -6px;
    right: -6px;
    bottom: -13px;
    height: 4px;
    background: var(--ink);
    z-index: 1;
  }
  .top {
    display: contents;
  }
  .top > :global(.due) {
    grid-column: 3;
    grid-row: 1;
    padding-bottom: var(--spacing-3);
  }
  nav {
    grid-column: 2;
    grid-row: 1;
  }
  .ruler {
    height: 13px;
    border-bottom: var(--line-strong) solid var(--rule);
    background:
      repeating-linear-gradient(90deg, var(--rule) 0 1px, transparent 1px 50px) 0 100% / 100% 12px no-repeat,
      repeating-linear-gradient(90deg, var(--hair) 0 1px, transparent 1px 5px) 0 100% / 100% 5px no-repeat;
  }
  @media (max-width: 900px) {
    /* Here the upper line stays above, and the stations below. */
    header,
    .line {
      display: contents;
    }
    .top {
      position: sticky;
      top: 0;
      z-index: 12;
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: var(--spacing-5);
      padding: var(--spacing-3) var(--spacing-4) var(--spacing-1);
      background: var(--paper);
    }
    .wordmark {
      padding: 0;
      font-size: var(--text-2xl);
    }
    /* The stations stand under the thumb: four, and the rest when they are asked for, nine in all. */
    nav {
      position: fixed;
      left: 0;
      right: 0;
      bottom: 0;
      z-index: 13;
      background: var(--paper);
      border-top: var(--line-strong) solid var(--rule);
    }
    nav.open ul {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
    nav a,
    .keys {
      width: 100%;
      height: 52px;
      justify-content: center;
      align-items: center;
      padding: 0 var(--spacing-1);
      font-size: var(--text-base);
    }
    nav a[aria-current]::after,
    .keys.here::after {
      content: '';
      position: absolute;
      left: 14px;
      right: 14px;
      top: 0;
      bottom: auto;
      height: 4px;
      background: var(--ink);
    }
    .keys.here {
      color: var(--ink);
      font-weight: 700;
    }
    nav:not(.open) .spare,
    .for-keys {
      display: none;
    }
    .top > :global(.due) {
      padding: 0;
    }
  }
</style>
