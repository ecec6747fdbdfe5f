<!-- @component What is known beside the soil itself: organic matter and what is aimed at, or the line of a bore. -->
<script lang="ts">
  import { ORGANIC_UNKNOWN, type Figures, type Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import type { ActEntry } from './acting.svelte';
  import Target from './Target.svelte';

  type Props = {
    entry: ActEntry;
    soil: Fractions;
    figures: Figures;
    organicError?: string;
    lineError?: string;
  };
  let { entry = $bindable(), soil, figures, organicError, lineError }: Props = $props();
</script>

{#if entry.ask === 'bed'}
  <div class="no-print max-w-[18rem]">
    <Field
      label={t.act.organic}
      error={organicError}
      hint={entry.organic.trim() === ''
        ? t.act.organicHint(ORGANIC_UNKNOWN.pct, ORGANIC_UNKNOWN.sd)
        : undefined}
    >
      {#snippet children(at)}<input
          {...at}
          class="input"
          inputmode="decimal"
          bind:value={entry.organic}
          placeholder={String(ORGANIC_UNKNOWN.pct)}
        />{/snippet}
    </Field>
  </div>
  <div class="no-print max-w-[18rem]"><Target bind:entry {soil} /></div>
{:else}
  <Field label={t.act.bore.line} error={lineError}>
    {#snippet children(at)}<input
        {...at}
        class="input w-[6rem]"
        inputmode="decimal"
        bind:value={entry.line}
        placeholder={String(figures.boreLinePct)}
      />{/snippet}
  </Field>
{/if}
