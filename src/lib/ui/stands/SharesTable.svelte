<!-- @component Shares instead of heights: what an eye says, or what somebody else made of it. -->
<script lang="ts">
  import { TEXTURE_LAYERS } from '$lib/workbench/layers';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import type { ShareTexts } from './shares';

  type Props = {
    texts: ShareTexts;
    errors: Record<string, string>;
    /** Two were given: the third is the rest. */
    follows?: { layer: string; pct: number };
    /** Whose numbers they are is asked. */
    others: boolean;
  };
  let { texts = $bindable(), errors, follows, others }: Props = $props();
</script>

<div class="grid gap-4">
  {#each TEXTURE_LAYERS.toReversed() as layer (layer)}
    <Field
      label={t.Layer[layer]}
      hint={follows?.layer === layer ? t.stands.follows(Math.round(follows.pct)) : undefined}
      error={errors[layer]}
    >
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={texts[layer]} placeholder={t.stands.shareHints[layer]} />
      {/snippet}
    </Field>
  {/each}
  {#if others}
    <Field label={t.stands.whose}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={texts.by} maxlength="40" />
      {/snippet}
    </Field>
  {/if}
  <p class="faded small">{t.stands.shareNote}</p>
</div>
