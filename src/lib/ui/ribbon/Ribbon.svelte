<!-- @component The coming hours: a flag for every timed step on the bench, with quiet hours shaded. -->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { LOOKS_AHEAD_H } from '$lib/workbench/reminders';
  import type { TimedStep } from '$lib/workbench/jars';
  import type { Format } from '$lib/words/format';
  import { quietBetween, quietOf } from '$lib/workbench/hours';
  import { dueLine } from '$lib/words/steps';
  import { t } from '$lib/words';

  type Props = {
    steps: TimedStep[];
    now: number;
    format: Format;
    headId?: string;
    /** What is to be done beside the jars. */
    chores?: readonly { id: string; name: string; dueAt: number }[];
  };
  let { steps, now, format, headId, chores = [] }: Props = $props();

  const HOUR = 3_600_000;
  /** Flags nearer than this share of the ribbon stand on top of each other. */
  const FLAG_SHARE = 4.6;

  const start = $derived(now);
  const end = $derived(now + LOOKS_AHEAD_H * HOUR);
  const x = $derived(scaleLinear().domain([start, end]).range([0, 100]).clamp(true));

  const ticks = $derived.by(() => {
    const firstHour = Math.ceil(start / HOUR) * HOUR;
    const out: { at: number; label: string }[] = [];
    for (let at = firstHour; at <= end; at += HOUR) {
      const minute = format.minuteOfDay(at);
      if (minute % 120 < 60 && at - start > HOUR * 0.6) out.push({ at, label: tickLabel(minute) });
    }
    return out;
  });

  function tickLabel(minute: number): string {
    const hour = Math.floor(minute / 60);
    if (hour === 0) return 'midnight';
    if (format.profile.clock === '24') return String(hour);
    return `${hour % 12 === 0 ? 12 : hour % 12} ${hour < 12 ? 'am' : 'pm'}`;
  }

  /** Worked out each minute, not each second. */
  const minute = $derived(Math.floor(now / 60_000) * 60_000);
  const quiet = $derived(
    quietBetween(quietOf(format.profile), format.zone, minute, minute + (LOOKS_AHEAD_H + 1) * HOUR)
  );
  const nights = $derived(
    quiet.filter((night) => night.fromAt < end).map((night) => ({ from: x(night.fromAt), to: x(night.toAt) }))
  );

  const inside = $derived(steps.filter((s) => s.dueAt <= end));
  const beyond = $derived(steps.length - inside.length);
  const flags = $derived.by(() => {
    const lastInRow: number[] = [];
    let headSeen = false;
    return inside.map((step) => {
      const place = x(Math.max(step.dueAt, start));
      let row = lastInRow.findIndex((last) => place - last > FLAG_SHARE);
      if (row === -1) row = lastInRow.length < 3 ? lastInRow.length : 0;
      lastInRow[row] = place;
      const first: boolean = step.jar.id === headId && !headSeen;
      headSeen ||= first;
      return { step, place, row, first };
    });
  });
  const rows = $derived(Math.max(1, ...flags.map((f) => f.row + 1)));
</script>

<section class="ribbon relative mt-6" aria-label={t.bench.ribbon} style:--rows={rows}>
  <div class="max-sm:w-[880px]">
    <div class="track">
      {#each nights as night (night.from)}
        <div
          class="night"
          style:left="{night.from}%"
          style:width="{night.to - night.from}%"
          title={t.bench.quiet}
        ></div>
      {/each}
      {#each chores.filter((c) => c.dueAt >= start && c.dueAt <= end) as chore (chore.id)}
        <svg class="chore" width="16" height="20" viewBox="0 0 16 20" style:left="{x(chore.dueAt)}%"
          ><title>{chore.name}</title><path d="M8 1c5 8 7 10 7 13a7 5 0 0 1-14 0c0-3 2-5 7-13z" /></svg
        >
      {/each}
      <ol class="plain-list">
        {#each flags as { step, place, row, first } (step.jar.id + step.dueAt)}
          <li
            class:first
            class:alarm={step.state === 'late' || step.state === 'missed'}
            style:left="{place}%"
            style:--row={row}
          >
            <a class="flag" href="/tests/{step.jar.id}" title={dueLine(step.jar.code, step, format, now)}
              >{step.jar.code}</a
            >
          </li>
        {/each}
      </ol>
    </div>
    <div class="relative h-[26px] text-xs text-faded" aria-hidden="true">
      <span class="tick now" style:left="0%">{t.common.now}</span>
      {#each ticks as tick (tick.at)}
        <span class="tick" style:left="{x(tick.at)}%">{tick.label}</span>
      {/each}
    </div>
  </div>
  {#if beyond > 0}<p class="faded small absolute right-0 top-[-1.1rem] max-sm:hidden">
      {t.bench.later(beyond)}
    </p>{/if}
</section>

<style>
  .chore {
    position: absolute;
    bottom: 3px;
    transform: translateX(-50%);
    fill: var(--clear);
    stroke: var(--glass);
    stroke-width: 1.4;
  }
  .track {
    position: relative;
    height: calc(20px + var(--rows) * 26px);
    border-bottom: var(--line-strong) solid var(--rule);
  }
  .night {
    position: absolute;
    bottom: 0;
    height: 100%;
    background: var(--night);
    opacity: 0.75;
  }
  li {
    position: absolute;
    bottom: 0;
    height: calc(20px + var(--row) * 26px + 22px);
    border-left: var(--line-strong) solid var(--ink);
    pointer-events: none;
  }
  .flag {
    pointer-events: auto;
    display: block;
    min-width: 38px;
    height: 24px;
    padding: 0 var(--spacing-3) 0 var(--spacing-2);
    font: 650 var(--text-xs)/24px var(--face-text);
    color: var(--tape-ink);
    background: var(--tape);
    text-decoration: none;
    clip-path: polygon(0 0, 100% 0, calc(100% - 6px) 50%, 100% 100%, 0 100%);
  }
  .first {
    border-color: var(--pen);
    border-left-width: var(--line-strong);
  }
  .first .flag {
    background: var(--pen);
    color: var(--on-pen);
  }
  .alarm {
    border-color: var(--alarm);
  }
  .alarm .flag {
    background: var(--alarm);
    color: var(--paper);
  }
  .tick {
    position: absolute;
    transform: translateX(-50%);
    padding-top: var(--spacing-2);
    white-space: nowrap;
  }
  .tick::before {
    content: '';
    position: absolute;
    left: 50%;
    top: 0;
    height: 6px;
    border-left: var(--line-strong) solid var(--rule);
  }
  .tick.now {
    transform: none;
  }
  .tick.now::before {
    left: 0;
  }
  @media (max-width: 640px) {
    .ribbon {
      overflow-x: auto;
      padding-top: var(--spacing-5);
      scrollbar-width: thin;
    }
  }
</style>
