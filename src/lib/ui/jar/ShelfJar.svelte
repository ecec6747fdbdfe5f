<!-- @component One jar on the shelf: the drawing, what it waits for and when, and the action when its time has come. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import type { Format } from '$lib/words/format';
  import { isAlarm, isPressing, timingOf } from '$lib/core';
  import { press, pressMark } from '$lib/browser/press.svelte';
  import SoFarShort from '../answer/SoFarShort.svelte';
  import { picked } from '$lib/browser/picked.svelte';
  import { t } from '$lib/words';
  import { tapesOf } from '$lib/workbench/tapes';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';
  import { drawnMoment, pictureOf, type JarView } from '$lib/workbench/jars';
  import StateShape from './StateShape.svelte';
  import { shakeTime, stepTime, stepTitle } from '$lib/words/steps';

  type Props = {
    view: JarView;
    now: number;
    format: Format;
    scale: number;
    isHead: boolean;
    isPicked: boolean;
    /** The jar that stood in this place until just now: a press may have been meant for it. */
    before: JarView | undefined;
    number: number;
    /** Whether the glass is drawn yet. */
    drawn: boolean;
  };
  let { view, now, format, scale, isHead, isPicked, before, number, drawn }: Props = $props();

  const jar = $derived(view.jar);
  const step = $derived(view.step);
  // The glass is drawn anew only when something on it has moved: views are made every second, what they stand on is not.
  const run = $derived(view.run);
  const drawnAt = $derived(drawnMoment(run, now));
  const picture = $derived(pictureOf({ jar, run, method: jar.method }, drawnAt));
  const kind = $derived(step.kind);
  const layer = $derived(step.layer);
  const stepState = $derived(step.state);
  const alarm = $derived(isAlarm(step));
  const pressing = $derived(isPressing(step) || step.state === 'missed');
  /** For as long as a hand needs the button does not turn into the next one. */
  const held = $derived(press.heldAt(now)?.jarId === jar.id);
  const tapes = $derived(tapesOf({ jar, run, step: { kind, layer, state: stepState } }, picture, isHead));
  const toPrepare = $derived(step.kind === 'set-down' || step.kind === 'shake');
  /** Whether a mark made now would cut another size than the one it is for. */
  const far = $derived.by(() => {
    const plan = kind === 'mark' && jar.method.marks.find((m) => m.layer === layer);
    return plan && jar.run ? timingOf(plan, (now - jar.run.setDownAt) / 1000).far : false;
  });
  const href = $derived(
    toPrepare ? `/set/${jar.id}` : step.no === undefined ? `/tests/${jar.id}` : `/read/${jar.id}/cylinder`
  );

  function act() {
    picked.id = jar.id;
    if (step.kind === 'mark' && step.layer) void pressMark(jar, step.layer, { before });
    else if (toPrepare) void goto(`/set/${jar.id}`);
    else void goto(`/read/${jar.id}`);
  }
</script>

<div class="jar" class:picked={isPicked}>
  <a
    id="jar-{jar.id}"
    {href}
    class="glass"
    aria-label={t.bench.open(jar.code, jar.sample.name)}
    onfocus={() => (picked.id = jar.id)}
  >
    {#if drawn}
      <VesselDrawing
        vessel={jar.vessel}
        {scale}
        code={jar.code}
        waterMm={jar.waterMm}
        soilMm={jar.soilMm}
        layers={picture?.layers}
        turbidity={picture?.turbidity}
        {tapes}
        lid={step.kind !== 'finish'}
        calling={pressing}
        tapeRoom={36}
      />
    {/if}
  </a>
  <div class="board" aria-hidden="true"></div>
  <div class="under" class:alarm class:head={isHead && !alarm}>
    <p class="title font-head text-lg font-[620] leading-[1.2]">
      <StateShape state={step.state} />{stepTitle(step)}
    </p>
    <p class="when">{shakeTime(view, now) ?? stepTime(step, format, now)}</p>
    <p class="text-faded text-xs leading-[1.25] mt-1 max-w-[12.5rem]">
      {step.state === 'missed'
        ? t.step.missedHint
        : step.state === 'late'
          ? far
            ? t.step.farHint
            : t.step.lateHints[step.kind]
          : jar.sample.name}
    </p>
    {#if held}
      <button type="button" class="btn btn-secondary mt-3" class:thumbed={isHead} disabled
        >{t.bench.do.marked}</button
      >
    {:else if pressing && step.kind === 'mark'}
      <button
        type="button"
        class="btn btn-primary mt-3"
        class:thumbed={isHead}
        onclick={act}
        aria-label={t.bench.mark(step.layer ? t.layer[step.layer] : '', jar.code)}
      >
        {t.bench.do.mark}
      </button>
    {:else if step.kind !== 'mark' && (step.state === 'ready' || toPrepare || pressing)}
      <button
        type="button"
        class="btn btn-secondary mt-3"
        onclick={act}
        aria-label={t.bench.doTo[step.kind](jar.code)}
      >
        {t.bench.do[step.kind]}
      </button>
    {:else if run && !jar.hasReading && !jar.cylinder}
      <SoFarShort {jar} {run} />
    {/if}
  </div>
  <span class="number absolute left-[8px] top-0 text-xs text-faded" aria-hidden="true"
    >{number < 10 ? number : ''}</span
  >
</div>

<style>
  .jar {
    position: relative;
    display: grid;
    grid-row: span 3;
    grid-template-rows: subgrid;
    grid-template-columns: minmax(0, 1fr);
  }
  .glass {
    display: flex;
    align-items: flex-end;
    justify-content: center;
    padding: 0 0 0 var(--spacing-3);
    text-decoration: none;
  }
  .glass:focus-visible {
    outline-offset: -2px;
  }
  .board {
    height: 20px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
  }
  .under {
    text-align: center;
    padding: var(--spacing-4) var(--spacing-1) var(--spacing-6);
    display: flex;
    flex-direction: column;
    align-items: center;
  }
  .when {
    font: 680 var(--text-2xl)/1.2 var(--face-head);
    font-variant-numeric: tabular-nums;
    text-wrap: balance;
  }
  .head .title,
  .head .when {
    color: var(--pen);
  }
  .alarm .title,
  .alarm .when {
    color: var(--alarm);
  }
  .picked .number {
    font-weight: 800;
    color: var(--ink);
  }
  .picked .number::after {
    content: '';
    display: block;
    width: 14px;
    border-bottom: var(--line-heavy) solid var(--ink);
  }
  @media (max-width: 640px) {
    .jar {
      width: 58vw;
    }
    .number,
    .under .btn-primary.thumbed {
      display: none;
    }
  }
</style>
