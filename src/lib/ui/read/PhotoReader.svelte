<!--
  @component Reading from a picture: two known heights give the scale, a strip on the glass its colours, and the lines
  that are found are accepted, moved, added or taken off before they go into the reading.
-->
<script lang="ts">
  import Slide from '../kit/Slide.svelte';
  import { onDestroy, untrack } from 'svelte';
  import type { LayerTops, Strip, Vessel } from '$lib/core';
  import type { PhotoRecord } from '$lib/contract/records/ground';
  import type { Format } from '$lib/words/format';
  import { knownHeights } from '../picture/known';
  import PictureChoice from '../picture/PictureChoice.svelte';
  import ScaleFields from '../picture/ScaleFields.svelte';
  import PictureStage from '../picture/PictureStage.svelte';
  import StripChart from '../picture/StripChart.svelte';
  import { t } from '$lib/words';
  import FoundLines from './FoundLines.svelte';
  import type { ReadingForm } from './form.svelte';
  import PictureLines from './PictureLines.svelte';
  import { PictureReading } from '../picture/reading.svelte';
  import { PhotoTaking } from './photo-taking.svelte';

  type Props = {
    form: ReadingForm;
    vessel: Vessel;
    waterMm: number;
    testId: string;
    photos: readonly PhotoRecord[];
    bench?: string;
    /** Where the physics of this run and its marks look for the tops, mm; none where it has no run to go by. */
    expected?: LayerTops;
    format: Format;
    ontaken: () => void;
  };
  let { form, vessel, waterMm, testId, photos, bench, expected, format, ontaken }: Props = $props();

  const pictureReading = untrack(
    () =>
      new PictureReading({ unit: format.profile.length, waterMm, expected: { ...expected, ...form.tops } })
  );
  const taking = untrack(() => new PhotoTaking(pictureReading, form, testId));
  onDestroy(() => pictureReading.close());
  const id = $props.id();
  const strip = $derived(pictureReading.strip);
  const known = $derived(knownHeights(vessel, waterMm));

  let timer: ReturnType<typeof setTimeout> | undefined;
  $effect(() => {
    const now = strip && ($state.snapshot(strip) as Strip);
    if (!now) return;
    untrack(() => pictureReading.moved(now));
    clearTimeout(timer);
    timer = setTimeout(() => void pictureReading.look(now), 120);
    return () => clearTimeout(timer);
  });

  const stretchOf = $derived(pictureReading.stretched ? pictureReading.read?.stretch : undefined);
  async function takeLines() {
    if (await taking.take()) ontaken();
  }
</script>

<div class="grid gap-3 min-w-0">
  <p class:small={pictureReading.url !== ''}>{pictureReading.url === '' ? t.picture.lead : t.picture.how}</p>
  <PictureChoice
    kept={pictureReading.url === '' ? photos : []}
    {bench}
    onpicture={(picture, fileId) => pictureReading.open(picture, fileId)}
  />
  {#if pictureReading.busy}<p role="status">{t.picture.opening}</p>{/if}
  {#if pictureReading.problems.picture}<p class="wrong" role="alert">
      {pictureReading.problems.picture}
    </p>{/if}

  {#if pictureReading.url !== ''}
    {#if stretchOf}
      <svg class="sr-only" aria-hidden="true">
        <filter id="{id}-stretch" color-interpolation-filters="sRGB">
          <feComponentTransfer>
            <feFuncR type="linear" slope={stretchOf.slope} intercept={stretchOf.intercept} />
            <feFuncG type="linear" slope={stretchOf.slope} intercept={stretchOf.intercept} />
            <feFuncB type="linear" slope={stretchOf.slope} intercept={stretchOf.intercept} />
          </feComponentTransfer>
        </filter>
      </svg>
    {/if}
    <PictureStage
      src={pictureReading.url}
      width={pictureReading.size.width}
      height={pictureReading.size.height}
      label={t.picture.stage}
      filter={stretchOf ? `${id}-stretch` : undefined}
    >
      {#snippet children({ unit })}
        <PictureLines {pictureReading} {strip} {unit} {format} />
      {/snippet}
    </PictureStage>

    <div class="row-of-actions small">
      {#if pictureReading.squaring}
        <button type="button" class="btn btn-secondary" onclick={() => pictureReading.square(true)}
          >{t.picture.squareNow}</button
        >
        <button type="button" class="link" onclick={() => (pictureReading.squaring = false)}
          >{t.common.close}</button
        >
      {:else}
        <button type="button" class="link" onclick={() => pictureReading.beginSquare()}
          >{t.picture.square}</button
        >
        {#if pictureReading.corners}
          <button type="button" class="link" onclick={() => pictureReading.square(false)}
            >{t.picture.unsquare}</button
          >
        {/if}
        <label class="flex items-center gap-2 min-h-touch"
          ><input class="checkbox" type="checkbox" bind:checked={pictureReading.stretched} />
          {t.picture.stretch}</label
        >
      {/if}
    </div>
    {#if pictureReading.problems.corners}<p class="wrong small" role="alert">
        {pictureReading.problems.corners}
      </p>{/if}
    {#if pictureReading.squaring}<p class="faded small">
        {pictureReading.cornersFound ? t.picture.squareFound : t.picture.squareHow}
      </p>{/if}

    <ScaleFields {pictureReading} {known} />
    <div>
      <Slide
        label={t.picture.width}
        value={pictureReading.widthPx}
        min={Math.max(4, Math.round(pictureReading.size.width * 0.01))}
        max={Math.round(pictureReading.size.width * 0.4)}
        oninput={(px) => (pictureReading.widthPx = px)}
      />
    </div>
    {#if pictureReading.problems.strip}<p class="wrong small" role="alert">
        {pictureReading.problems.strip}
      </p>{/if}
    {#if pictureReading.label || pictureReading.edge}
      {@const clear = pictureReading.read?.clearAside}
      <p class="wrong small" role="alert">
        {pictureReading.label
          ? t.picture.onLabel(
              format.length(pictureReading.label.fromMm),
              format.length(pictureReading.label.toMm)
            )
          : t.picture.onEdge}
        {#if clear !== undefined}
          <button type="button" class="link" onclick={() => pictureReading.putStrip({ asidePx: clear })}
            >{t.picture.toClear}</button
          >
        {/if}
      </p>
    {/if}

    {#if pictureReading.read && strip}
      <div
        class="grid grid-cols-[minmax(0,12rem)_minmax(0,1fr)] gap-6 items-start max-sm:grid-cols-[minmax(0,7.5rem)_minmax(0,1fr)] max-sm:gap-4"
      >
        <StripChart profile={pictureReading.read.profile} lines={pictureReading.lines} />
        <FoundLines {pictureReading} water={taking.water} {format} />
      </div>
      {#if taking.problem}<p class="wrong" role="alert">{taking.problem}</p>{/if}
      <button type="button" class="btn btn-secondary" disabled={taking.busy} onclick={takeLines}
        >{t.picture.take}</button
      >
    {/if}
  {/if}
</div>
