<!-- @component What to do to a cylinder now, counted down: lower, read, lift; and the press that takes the moment. -->
<script lang="ts">
  import { formatCountdown } from '$lib/core';
  import type { JarView } from '$lib/workbench/jars';
  import { stepTime } from '$lib/words/steps';
  import type { Format } from '$lib/words/format';
  import { pressGauge } from '$lib/browser/press.svelte';
  import { t } from '$lib/words';

  type Props = { view: JarView; tool: 'hydrometer' | 'pipette'; format: Format; now: number };
  let { view, tool, format, now }: Props = $props();

  const { jar, run, step } = $derived(view);
  const readings = $derived(jar.method.readings ?? []);
  const next = $derived(step.no === undefined ? undefined : readings[step.no]);
  const cue = $derived.by(() => {
    if (step.kind === 'finish' || !next) return t.cylinder.cue.done;
    if (step.kind === 'lower' && step.state === 'waiting') {
      return t.cylinder.cue.wait(tool, stepTime(step, format, now), step.dueAt - now < 3_600_000);
    }
    return step.kind === 'lower' ? t.cylinder.cue.lower[tool] : t.cylinder.cue.read[tool];
  });
  /** Counted down to the reading itself. */
  const leftMs = $derived(next && run ? run.setDownAt + (next.atS ?? 0) * 1000 - now : 0);
  /** What comes after a reading: the instrument stays in where the next needs no lowering. */
  const after = (no: number) =>
    readings[no + 1]?.leadS === 0 && tool === 'hydrometer' ? t.cylinder.cue.stays : t.cylinder.cue.lift[tool];
  /** Said after a reading for as long as it takes. */
  const LIFT_MS = 25_000;
  const justRead = $derived.by(() => {
    const last = jar.run?.gauges.at(-1);
    return last && now - last.at <= LIFT_MS ? after(last.no) : undefined;
  });
</script>

<section class="no-print grid gap-2 justify-items-start" aria-label={t.due.label}>
  {#if !run}
    <p class="cue font-head text-xl font-semibold leading-[1.25]">{t.jar.notSet}</p>
    <a class="btn btn-primary" href="/set/{jar.id}">{t.jar.prepare}</a>
  {:else}
    <p
      class="cue font-head text-xl font-semibold leading-[1.25]"
      class:pen={step.state === 'due'}
      aria-live="polite"
    >
      {cue}
    </p>
    {#if next && step.no !== undefined}
      {@const { no } = step}
      <p class="clock" class:late={step.state === 'late'}>
        {leftMs > 0 ? formatCountdown(leftMs / 1000) : stepTime(step, format, now)}
        <span class="font-text text-base font-medium leading-[normal] text-faded ml-3"
          >{t.cylinder.next(no + 1, readings.length)}</span
        >
      </p>
      <div class="row-of-actions">
        <button
          type="button"
          class={step.kind === 'gauge' ? 'btn btn-primary' : 'btn btn-secondary'}
          onclick={() => pressGauge(jar, no)}>{t.cylinder.take[tool]}</button
        >
        {#if justRead}<b>{justRead}</b>
        {:else if step.kind === 'gauge'}<span class="faded">{after(no)}</span>{/if}
      </div>
    {:else if justRead}<p><b>{justRead}</b></p>{/if}
  {/if}
</section>

<style>
  .cue.pen {
    color: var(--pen);
  }
  .clock {
    font: 680 var(--text-4xl)/1.05 var(--face-head);
    font-variant-numeric: tabular-nums;
    margin: 0;
    color: var(--pen);
  }
  .clock.late {
    color: var(--alarm);
  }
</style>
