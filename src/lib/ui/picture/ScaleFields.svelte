<!-- @component The two heights that give a picture its scale, with places on the glass whose height is known. -->
<script lang="ts">
  import Field from '../fields/Field.svelte';
  import type { PictureReading } from './reading.svelte';
  import { t } from '$lib/words';

  type Props = { pictureReading: PictureReading; known?: { label: string; mm: number }[] };
  let { pictureReading, known = [] }: Props = $props();

  const wrong = $derived(pictureReading.scaleProblems);
</script>

<div class="scale">
  {#each [{ point: pictureReading.low, label: t.picture.lowHeight, error: wrong.low }, { point: pictureReading.high, label: t.picture.highHeight, error: wrong.high }] as end (end.label)}
    <div>
      <Field label={end.label} error={end.error}>
        {#snippet children(entry)}<input {...entry} class="input" bind:value={end.point.text} />{/snippet}
      </Field>
      {#if known.length > 0}
        <p class="places small">
          {#each known as place (place.label)}
            <button
              type="button"
              class="link"
              onclick={() => (end.point.text = `${Math.round(place.mm * 10) / 10} mm`)}>{place.label}</button
            >
          {/each}
        </p>
      {/if}
    </div>
  {/each}
</div>
{#if wrong.scale}<p class="wrong small" role="alert">{wrong.scale}</p>{/if}

<style>
  .scale {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--spacing-2) var(--spacing-5);
  }
  .places {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--spacing-4);
  }
  .places .link {
    min-width: 32px;
    min-height: 32px;
    padding: 0;
  }
</style>
