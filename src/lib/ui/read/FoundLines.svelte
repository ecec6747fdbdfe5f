<!-- @component Lines that were found on a strip or put there: named, taken off, added, or found anew. -->
<script lang="ts">
  import { LINE_ORDER, type Clarity } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import type { PictureReading } from '../picture/reading.svelte';

  type Props = {
    pictureReading: PictureReading;
    /** The water over the uppermost named line, as far as the strip shows it. */
    water: Exclude<Clarity, 'unseen'> | undefined;
    format: Format;
  };
  let { pictureReading, water, format }: Props = $props();
</script>

<div>
  <h2 class="text-lg">{t.picture.found(pictureReading.lines.length)}</h2>
  <ul class="plain-list" aria-label={t.picture.lines}>
    {#each [...pictureReading.lines].sort((a, b) => b.heightMm - a.heightMm) as line (line.key)}
      <li>
        <select
          class="select w-[8.5rem] max-sm:w-full"
          aria-label={t.picture.topOf(format.length(line.heightMm, 1))}
          bind:value={line.name}
          onchange={() => (pictureReading.touched = true)}
        >
          <option value="">{t.picture.noName}</option>
          {#each LINE_ORDER as name (name)}<option value={name}>{t.layer[name]}</option>{/each}
        </select>
        <span class="num font-[650] whitespace-nowrap"
          >{format.length(line.heightMm, 1)} ± {format.length(line.sigmaMm, 1)}</span
        >
        <span class="faded small"
          >{line.confidence === undefined
            ? t.picture.byHand
            : t.picture.plain(Math.round(line.confidence * 100))}</span
        >
        <button
          type="button"
          class="link small min-h-[32px] p-0 max-sm:min-h-touch"
          aria-label={t.picture.dropLine(format.length(line.heightMm, 1))}
          onclick={() => pictureReading.dropLine(line)}>{t.picture.drop}</button
        >
      </li>
    {/each}
  </ul>
  {#if pictureReading.lines.some((l) => l.name === '')}<p class="small">{t.picture.askNames}</p>{/if}
  {#if water}<p class="small">{t.picture.water[water]}</p>{/if}
  <p class="row-of-actions small">
    <button type="button" class="link" onclick={() => pictureReading.addLine()}>{t.picture.addLine}</button>
    {#if pictureReading.mine.length > 0}
      <button type="button" class="link" onclick={() => pictureReading.putMineBack()}
        >{t.picture.mineBack}</button
      >
    {/if}
    {#if pictureReading.touched}
      <button type="button" class="link" onclick={() => pictureReading.proposeAnew()}>{t.picture.anew}</button
      >
    {/if}
  </p>
</div>

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--spacing-4);
    align-items: center;
    padding: var(--spacing-2) 0;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
