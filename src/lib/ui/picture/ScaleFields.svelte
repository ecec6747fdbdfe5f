<!-- @component The two heights that give a picture its scale, with places on the glass whose height is known. -->
<script lang="ts">
  import Field from '../fields/Field.svelte';
  import type { PictureReading } from './reading.svelte';
  import { t } from '$lib/words';

  type Props = { pictureReading: PictureReading; known?: { label: string; mm: number }[] };
  let { pictureReading, known = [] }: Props = $props();

  const wrong = $derived(pictureReading.scaleProblems);
</script>

<div class="grid grid-cols-[repeat(2,minmax(0,1fr))] gap-y-2 gap-x-5">
  {#each [{ point: pictureReading.low, label: t.picture.lowHeight, error: wrong.low }, { point: pictureReading.high, label: t.picture.highHeight, error: wrong.high }] as end (end.label)}
    <div>
      <Field label={end.label} error={end.error}>
        {#snippet children(entry)}<input {...entry} class="input" bind:value={end.point.text} />{/snippet}
      </Field>
      {#if known.length > 0}
        <p class="small flex flex-wrap gap-y-0 gap-x-4">
          {#each known as place (place.label)}
            <button
              type="button"
              class="link min-w-[32px] min-h-[32px] p-0"
              onclick={() => (end.point.text = `${Math.round(place.mm * 10) / 10} mm`)}>{place.label}</button
            >
          {/each}
        </p>
      {/if}
    </div>
  {/each}
</div>
{#if wrong.scale}<p class="wrong small" role="alert">{wrong.scale}</p>{/if}
