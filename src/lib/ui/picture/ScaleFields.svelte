<!-- @component The two heights that give a picture its scale, with places on the glass whose height is known. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { formatLength, type Strip } from '$lib/core';
  import Field from '../fields/Field.svelte';
  import type { PictureReading } from './reading.svelte';
  import { t } from '$lib/words';

  type Props = { pictureReading: PictureReading; known?: { label: string; mm: number }[] };
  let { pictureReading, known = [] }: Props = $props();

  const wrong = $derived(pictureReading.scaleProblems);
  const byRuler = $derived(pictureReading.byRuler);
  const written = (mm: number) => formatLength(mm, pictureReading.unit, 1);

  // A picture that was straightened has another ruler.
  $effect(() => {
    const { strip, url } = pictureReading;
    if (!strip || !url) return;
    const { low, high } = $state.snapshot(strip) as Strip;
    untrack(() => void pictureReading.seeRuler({ low, high }));
  });
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
{#if byRuler?.agrees}
  <p class="small faded">{t.picture.rulerAgrees}</p>
{:else if byRuler}
  <p class="small">
    {t.picture.rulerSays(written(byRuler.highMm))}
    <button
      type="button"
      class="link min-h-[32px]"
      onclick={() => (pictureReading.high.text = `${byRuler.highMm.toFixed(1)} mm`)}
      >{t.picture.byRuler}</button
    >
  </p>
{/if}
{#if wrong.scale}<p class="wrong small" role="alert">{wrong.scale}</p>{/if}
