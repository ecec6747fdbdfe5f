<!-- @component What can be done to a hole now: soak, refill, look at the water, finish. -->
<script lang="ts">
  import { pressHole, refillHole, soakHole } from '$lib/browser/holes';
  import { record } from '$lib/browser/actions';
  import type { HoleView } from '$lib/workbench/holes';
  import { t } from '$lib/words';

  type Props = {
    view: HoleView;
    /** The one button for what is next, and no more. */
    short?: boolean;
  };
  let { view, short = false }: Props = $props();
  const { hole, step } = $derived(view);
  const calls = $derived(step?.state === 'due' || step?.state === 'late');
  const look = $derived(calls ? 'btn btn-primary' : 'btn btn-secondary');
</script>

{#if step}
  <div class="flex flex-wrap gap-3 no-print">
    {#if step.kind === 'soak'}
      <button type="button" class="btn btn-primary" onclick={() => soakHole(hole)}>{t.hole.soak}</button>
      {#if !short}
        <button type="button" class="btn btn-secondary" onclick={() => refillHole(hole)}
          >{t.hole.soakSkip}</button
        >
      {/if}
    {:else if step.kind === 'refill'}
      <button type="button" class={look} onclick={() => refillHole(hole)}>{t.hole.refill}</button>
    {:else}
      {#if !(short && step.kind === 'finish')}
        <button type="button" class={look} onclick={() => pressHole(hole, 'height')}>{t.hole.readNow}</button>
      {/if}
      {#if !short}
        <button type="button" class="btn btn-secondary" onclick={() => pressHole(hole, 'gone')}
          >{t.hole.gone}</button
        >
        <button type="button" class="btn btn-secondary" onclick={() => pressHole(hole, 'still')}
          >{t.hole.still}</button
        >
      {/if}
      {#if hole.readings.length > 0 && (!short || step.kind === 'finish')}
        <button
          type="button"
          class={step.kind === 'finish' && view.open.length === 0 ? 'btn btn-primary' : 'btn btn-secondary'}
          disabled={view.open.length > 0}
          onclick={() => record('hole.finish', { holeId: hole.id }, t.hole.done.finish(hole.code))}
          >{t.hole.finish}</button
        >
      {/if}
    {/if}
  </div>
{/if}
