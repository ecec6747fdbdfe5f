<!-- @component How warm the water is, and how high soil and water stand; an empty height is what the method asks for. -->
<script lang="ts">
  import { formatTemperature } from '$lib/core';
  import { t } from '$lib/words';
  import type { Profile } from '$lib/words/profile';
  import Field from '../fields/Field.svelte';
  import { placeholder, USUAL_TEMP_C, type SetAnswer, type SetForm } from './form';

  type Props = {
    texts: SetForm;
    answer: SetAnswer;
    error: Record<string, string | undefined>;
    /** Whether heights are asked for: a cylinder is filled to its own line. */
    heights: boolean;
    profile: Profile;
  };
  let { texts = $bindable(), answer, error, heights, profile }: Props = $props();
</script>

<Field label={t.set.temperature} hint={t.set.temperatureHint} error={error.temp}>
  {#snippet children(entry)}
    <input
      {...entry}
      class="input"
      bind:value={texts.temp}
      inputmode="decimal"
      placeholder={formatTemperature(USUAL_TEMP_C, profile.temperature)}
    />
  {/snippet}
</Field>
{#if heights}
  {#each ['soil', 'water'] as const as what (what)}
    <Field label={t.set[what]} hint={t.set.fromBottom} error={error[`${what}Mm`]}>
      {#snippet children(entry)}
        <input
          {...entry}
          class="input"
          bind:value={texts[what]}
          placeholder={placeholder(answer.asked?.[`${what}Mm`], profile)}
        />
      {/snippet}
    </Field>
  {/each}
{/if}
{#if texts.soil || texts.water}
  <button type="button" class="link" onclick={() => ((texts.soil = ''), (texts.water = ''))}
    >{t.set.fillReset}</button
  >
{/if}
