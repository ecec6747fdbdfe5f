<!-- @component What can be done to a hole now: soak, refill, look at the water, finish. -->
<script lang="ts">
  import { pressHole, refillHole, soakHole } from '$lib/browser/holes';
  import { record } from '$lib/browser/actions';
  import type { HoleView } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import EarlierPress from '../fields/EarlierPress.svelte';
  import Field from '../fields/Field.svelte';
  import { readLength } from '$lib/workbench/entry/figure';

  type Props = {
    view: HoleView;
    format: Format;
    /** The one button for what is next, and no more. */
    short?: boolean;
  };
  let { view, format, short = false }: Props = $props();

  /** Water at the refill, where it does not stand to the brim. */
  let filled = $state('');
  let wrong = $state('');
  async function refill(at?: number): Promise<boolean> {
    const text = filled.trim();
    const read = text === '' ? undefined : readLength(text, format.profile.length);
    wrong = read?.error ?? (read?.value !== undefined && read.value > hole.depth.mm ? t.hole.overBrim : '');
    if (wrong) return false;
    return refillHole(hole, read?.value === undefined ? null : { mm: read.value, text }, at);
  }

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
        <EarlierPress onkeep={(at) => soakHole(hole, at)} />
      {/if}
    {:else if step.kind === 'refill'}
      {#if !short}
        <div class="basis-full max-w-[18rem]">
          <Field label={t.hole.filledTo} error={wrong}>
            {#snippet children(entry)}
              <input
                {...entry}
                class="input"
                autocomplete="off"
                bind:value={filled}
                placeholder={format.length(hole.depth.mm)}
              />
            {/snippet}
          </Field>
        </div>
      {/if}
      <button type="button" class={look} onclick={() => refill()}>{t.hole.refill}</button>
      {#if !short}<EarlierPress after={hole.soakedAt} onkeep={refill} />{/if}
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
