<!--
  @component A timetable as lanes, one a vessel: hands-on blocks, the windows they may move in, shut hours shaded. A
  set-down is a flag that is dragged, or moved with the arrow keys; the rest answers.
-->
<script lang="ts">
  import { known } from '$lib/core';
  import { draggable, keyStep } from '../kit/handle';
  import { scaleLinear } from 'd3-scale';
  import type { PlannedTask, ShutHours, Timetable } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Lane = { id: string; code: string; name: string; free: boolean; pinned: boolean };
  type Props = {
    lanes: Lane[];
    plan: Timetable;
    shut: ShutHours[];
    fromAt: number;
    now: number;
    format: Format;
    onmove: (id: string, setDownAt: number) => void;
    onfree: (id: string) => void;
  };
  let { lanes, plan, shut, fromAt, now, format, onmove, onfree }: Props = $props();

  const HOUR = 3_600_000;
  const SNAP = 60_000;
  const toAt = $derived(Math.max(plan.finishAt + HOUR, fromAt + 3 * HOUR));
  const x = $derived(scaleLinear().domain([fromAt, toAt]).range([0, 100]).clamp(true));
  const tickHours = $derived.by(() => {
    const span = (toAt - fromAt) / HOUR;
    return span <= 10 ? 1 : span <= 30 ? 2 : span <= 60 ? 6 : 12;
  });
  const ticks = $derived.by(() => {
    const out: { at: number; label: string }[] = [];
    for (let at = Math.ceil(fromAt / HOUR) * HOUR; at < toAt; at += HOUR) {
      const minute = format.minuteOfDay(at);
      if (minute % (tickHours * 60) !== 0) continue;
      out.push({ at, label: minute === 0 ? format.day(at).replace(/ \d{4}$/, '') : format.time(at) });
    }
    return out;
  });
  const unmet = $derived(new Set(plan.unmet.map((u) => `${u.jobId} ${u.kind} ${u.layer ?? ''}`)));
  const tasksOf = (id: string) => plan.tasks.filter((task) => task.jobId === id && task.endAt > fromAt);
  const what = (task: PlannedTask) => t.timetable.task(task.kind, task.layer && t.layer[task.layer]);

  /** Width of a track on the screen, px: all are as wide. */
  let wide = $state(1);
  let lanesBox: HTMLElement | undefined = $state();
  function move(id: string, at: number) {
    onmove(id, Math.max(now, Math.round(at / SNAP) * SNAP));
  }
  function key(event: KeyboardEvent, lane: Lane) {
    const keys = keyStep(event);
    // Five minutes a press, an hour a page.
    if (keys) move(lane.id, plan.setDownAt[lane.id] + (5 * (keys.right + keys.up) + 60 * keys.page) * SNAP);
    if (event.key !== 'Delete' && event.key !== 'Backspace') return;
    event.preventDefault();
    onfree(lane.id);
  }
</script>

<div class="lanes" role="group" aria-label={t.timetable.lanes} bind:this={lanesBox}>
  <div
    class="grid grid-cols-[13rem_minmax(0,1fr)] items-center border-b border-hair max-md:grid-cols-1"
    aria-hidden="true"
  >
    <span></span>
    <div class="relative h-[26px] overflow-visible" bind:clientWidth={wide}>
      {#each ticks as tick (tick.at)}<span
          class="tick"
          class:first={x(tick.at) < 6}
          class:last={x(tick.at) > 94}
          style:left="{x(tick.at)}%">{tick.label}</span
        >{/each}
    </div>
  </div>
  {#each lanes as lane (lane.id)}
    <div class="grid grid-cols-[13rem_minmax(0,1fr)] items-center border-b border-hair max-md:grid-cols-1">
      <span class="leading-[1.2] pr-4 max-md:pt-3"
        ><b class="font-head text-lg font-bold leading-[normal]">{lane.code}</b>
        <span class="faded small">{lane.name}</span></span
      >
      <div class="relative h-[52px] overflow-hidden">
        {#each shut as hours (hours.fromAt + hours.why)}
          <i
            class="shut {hours.why}"
            style:left="{x(hours.fromAt)}%"
            style:width="{x(hours.toAt) - x(hours.fromAt)}%"
          ></i>
        {/each}
        {#each tasksOf(lane.id) as task (task.kind + (task.layer ?? '') + task.askedAt)}
          {#if task.windowToAt > task.windowFromAt}
            <i
              class="window bottom-[11px] h-[4px] bg-tape-edge"
              style:left="{x(task.windowFromAt)}%"
              style:width="{x(task.windowToAt + task.endAt - task.startAt) - x(task.windowFromAt)}%"
            ></i>
          {/if}
          <i
            class="task {task.kind} {task.layer ?? ''}"
            class:unmet={unmet.has(`${task.jobId} ${task.kind} ${task.layer ?? ''}`)}
            title="{what(task)}, {format.when(task.startAt, now)}"
            style:left="{x(task.startAt)}%"
            style:width="{x(task.endAt) - x(task.startAt)}%"
          ></i>
        {/each}
        {#if lane.free}
          <button
            type="button"
            class="flag"
            class:pinned={lane.pinned}
            style:left="{x(plan.setDownAt[lane.id])}%"
            role="slider"
            aria-label={t.timetable.setDownOf(lane.code)}
            aria-valuemin={Math.round(now / SNAP)}
            aria-valuemax={Math.round(toAt / SNAP)}
            aria-valuenow={Math.round(plan.setDownAt[lane.id] / SNAP)}
            aria-valuetext={format.when(plan.setDownAt[lane.id], now)}
            {@attach draggable({
              within: () => known(lanesBox, 'its handles are drawn in it'),
              at: () => ({ x: (x(plan.setDownAt[lane.id]) / 100) * wide, y: 0 }),
              onmove: (to) => move(lane.id, x.invert((100 * to.x) / wide))
            })}
            onkeydown={(e) => key(e, lane)}
          >
            {format.time(plan.setDownAt[lane.id])}
          </button>
        {/if}
      </div>
    </div>
  {/each}
</div>

<style>
  .tick {
    position: absolute;
    bottom: 2px;
    transform: translateX(-50%);
    font-size: var(--text-xs);
    color: var(--faded);
    white-space: nowrap;
  }
  /* At either end a label stays inside, for the page must not grow wider than a phone. */
  .tick.first {
    transform: none;
  }
  .tick.last {
    transform: translateX(-100%);
  }
  .shut,
  .window,
  .task {
    position: absolute;
  }
  .shut {
    top: 0;
    bottom: 0;
    background: var(--night);
    opacity: 0.75;
  }
  .shut.away {
    background: repeating-linear-gradient(135deg, var(--night) 0 4px, transparent 4px 9px);
  }
  .task {
    bottom: 5px;
    height: 16px;
    min-width: 5px;
    background: var(--ink);
  }
  .task.shake {
    background: repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 5px);
    outline: var(--line) solid var(--ink);
  }
  .task.set-down {
    bottom: 0;
    height: 52px;
    min-width: 2px;
    width: 2px !important;
  }
  .task.sand {
    background: var(--sand);
    outline: var(--line-strong) solid var(--ink);
  }
  .task.silt {
    background: var(--silt);
    outline: var(--line-strong) solid var(--ink);
  }
  .task.clay {
    background: var(--clay);
    outline: var(--line-strong) solid var(--ink);
  }
  .task.unmet {
    outline: var(--line-heavy) solid var(--alarm);
    outline-offset: 1px;
  }
  .flag {
    position: absolute;
    top: 2px;
    min-width: 44px;
    height: 24px;
    padding: 0 var(--spacing-3) 0 var(--spacing-2);
    border: 0;
    background: var(--tape);
    color: var(--tape-ink);
    font: 650 var(--text-xs)/24px var(--face-text);
    font-variant-numeric: tabular-nums;
    clip-path: polygon(0 0, 100% 0, calc(100% - 6px) 50%, 100% 100%, 0 100%);
    cursor: ew-resize;
    touch-action: none;
  }
  .flag.pinned {
    background: var(--ink);
    color: var(--paper);
  }
  .flag:focus-visible {
    outline: none;
    background: var(--pen);
    color: var(--on-pen);
  }
</style>
