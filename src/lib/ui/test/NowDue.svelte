<!-- @component What a jar waits for now, and what can be done with it: the next act, a note, and corrections of its start. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import { isAlarm } from '$lib/core';
  import { isInstrument } from '$lib/contract/cylinder';
  import { press, pressMark } from '$lib/browser/press.svelte';
  import type { JarView } from '$lib/workbench/jars';
  import type { Format } from '$lib/words/format';
  import { dueLine } from '$lib/words/steps';
  import { t } from '$lib/words';
  import JarNotes from './JarNotes.svelte';
  import ShakeAgain from './ShakeAgain.svelte';
  import StoodAlready from './StoodAlready.svelte';

  type Props = { view: JarView; format: Format; now: number; onbin: () => void };
  let { view, format, now, onbin }: Props = $props();

  const jar = $derived(view.jar);
  const run = $derived(view.run);
  const method = $derived(jar.method);
  /** A hand that has just pressed must not find another mark under it. */
  const justPressed = $derived(press.heldAt(now)?.jarId === jar.id);
  /** The run whose button was pressed here: its place stays taken, so that nothing beside it moves under a hand. */
  let pressedRun = $state('');
  let shaking = $state(false);
  let zeroing = $state(false);
  let turning = $state(false);

  async function mark(layer: Parameters<typeof pressMark>[1]) {
    pressedRun = run?.id ?? '';
    await pressMark(jar, layer);
  }
</script>

<section class="now no-print" aria-label={t.due.label}>
  {#if view.step.kind !== 'finish'}
    <p class="due" class:alarm={isAlarm(view.step)}>
      {dueLine(jar.code, view.step, format, now)}
    </p>
  {/if}
  <div class="row-of-actions">
    {#if view.step.kind === 'set-down' || view.step.kind === 'shake'}
      <a class="btn btn-primary" href="/set/{jar.id}">{t.jar.prepare}</a>
    {:else if !justPressed && view.step.kind === 'mark' && view.step.layer && view.step.state !== 'waiting'}
      {@const { layer } = view.step}
      <button type="button" class="btn btn-primary" onclick={() => mark(layer)}>
        {t.jar.markNow(t.layer[layer])}
      </button>
    {:else if justPressed || (run && pressedRun === run.id)}
      <button type="button" class="btn btn-secondary" disabled>{t.bench.do.marked}</button>
    {/if}
    {#if run}
      <a
        class={['read', 'gauge', 'lower', 'finish'].includes(view.step.kind)
          ? 'btn btn-primary'
          : 'btn btn-secondary'}
        href="/read/{jar.id}"
      >
        {isInstrument(method)
          ? t.cylinder.open
          : view.step.kind === 'mark' || view.step.state === 'waiting'
            ? t.jar.readEarly
            : t.jar.read}
      </a>
      <button type="button" class="btn btn-secondary" onclick={() => (shaking = true)}
        >{t.jar.shakeAgain}</button
      >
    {/if}
    <button type="button" class="btn btn-secondary" onclick={onbin}>{t.jar.bin}</button>
  </div>
  {#if run}<JarNotes {jar} />{/if}
  {#if run}
    <p>
      <button type="button" class="link" onclick={() => (zeroing = true)}>{t.correct.zeroLink}</button>
      {#if !run.stood && run.marks.length === 0 && !isInstrument(method)}
        <button type="button" class="link" onclick={() => (turning = true)}>{t.stands.turn}</button>
      {/if}
    </p>
  {/if}
</section>

{#if run}<StoodAlready {jar} {run} bind:open={turning} />{/if}
{#if run && zeroing}
  {#await import('./CorrectZero.svelte') then { default: CorrectZero }}
    <CorrectZero {jar} {run} {format} bind:open={zeroing} />
  {/await}
{/if}
{#if run}<ShakeAgain {jar} bind:open={shaking} ondone={() => goto(`/set/${jar.id}`)} />{/if}

<style>
  .due {
    font: 660 var(--text-2xl)/1.2 var(--face-head);
    color: var(--pen);
    margin-bottom: var(--spacing-3);
    font-variant-numeric: tabular-nums;
  }
  .due.alarm {
    color: var(--alarm);
  }
</style>
