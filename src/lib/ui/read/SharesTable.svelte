<!-- @component Shares instead of heights: what an eye says, or what somebody else made of it. -->
<script lang="ts">
  import { TEXTURE_LAYERS } from '$lib/workbench/layers';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';

  let { form }: { form: ReadingForm } = $props();
</script>

{#if form.texts.way === 'smeared'}
  <p class="max-w-reading">{t.stands.smeared}</p>
{:else}
  <div class="grid gap-4 lines">
    {#each TEXTURE_LAYERS.toReversed() as layer (layer)}
      <Field
        label={t.Layer[layer]}
        hint={form.rest?.layer === layer ? t.stands.follows(Math.round(form.rest.pct)) : undefined}
        error={form.errors[layer]}
      >
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            bind:value={form.texts.shares[layer]}
            placeholder={t.stands.shareHints[layer]}
          />
        {/snippet}
      </Field>
    {/each}
    {#if form.texts.way === 'others'}
      <Field label={t.stands.whose}>
        {#snippet children(entry)}
          <input {...entry} class="input" bind:value={form.texts.by} maxlength="40" />
        {/snippet}
      </Field>
    {/if}
    <p class="faded small">{t.stands.shareNote}</p>
  </div>
{/if}
