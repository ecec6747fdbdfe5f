<!-- @component The sum of the layers against a total that was measured apart: agreement is said, a mismatch is asked about. -->
<script lang="ts">
  import { isShare, type JarResult } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';

  type Props = {
    form: ReadingForm;
    result?: JarResult;
    format: Format;
    error?: string;
    onfixlayers: () => void;
  };
  let { form, result, format, error, onfixlayers }: Props = $props();

  const id = $props.id();
  /** A layer that follows from the whole makes the sum agree, and says nothing. */
  const sum = $derived(result && !isShare(result) && !form.followed ? result.sum : undefined);
  const wrong = $derived(form.errors.measuredTotal);
  let explaining = $state(false);
</script>

<div class="grid grid-cols-[1fr_6.2rem_3.4rem] gap-y-1 gap-x-4 items-center mt-4">
  <label for="{id}-total">{t.read.total}</label>
  <input
    id="{id}-total"
    class="input text-right"
    bind:value={form.texts.total}
    placeholder={form.fieldUnit}
    aria-invalid={wrong ? 'true' : undefined}
    aria-describedby="{id}-said"
  />
  <div class="small col-span-full" id="{id}-said">
    {#if wrong}
      <p class="wrong" role="alert">{wrong}</p>
    {:else if result && sum && !sum.agrees}
      <p class="wrong" role="alert">
        {t.read.sumMismatch(
          form.say(Math.abs(sum.differenceMm), format),
          form.say(sum.allowedMm, format),
          sum.differenceMm > 0
        )}
      </p>
      <div class="flex flex-wrap gap-y-0 gap-x-5">
        <button type="button" class="link" onclick={() => document.getElementById(`${id}-total`)?.focus()}
          >{t.read.sumFixTotal}</button
        >
        <button type="button" class="link" onclick={onfixlayers}>{t.read.sumFixLayers}</button>
        <button type="button" class="link" onclick={() => (explaining = true)}>{t.read.sumKeep}</button>
      </div>
      {#if explaining || form.texts.sumNote}
        <label for="{id}-note">{t.read.sumNote}</label>
        <input id="{id}-note" class="input" bind:value={form.texts.sumNote} maxlength="300" />
      {/if}
      {#if error}<p class="wrong" role="alert">{error}</p>{/if}
    {:else if result}
      <p class="faded">
        {t.read.sumLayers(form.say(result.totalMm, format))}{#if sum}: {t.read.sumAgree(
            form.say(Math.abs(sum.differenceMm), format)
          )}{/if}
      </p>
    {/if}
  </div>
</div>
