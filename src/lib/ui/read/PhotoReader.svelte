<!--
  @component Reading from a picture: two known heights give the scale, a strip on the glass its colours, and the lines
  that are found are accepted, moved, added or taken off before they go into the reading.
-->
<script lang="ts">
  import Slide from '../kit/Slide.svelte';
  import { onDestroy, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import {
    heightOfPixel,
    LINE_ORDER,
    pixelOfHeight,
    stripAxes,
    waterOnStrip,
    type LayerTops,
    type LineName,
    type Strip,
    type Vessel
  } from '$lib/core';
  import type { PhotoRecord } from '$lib/contract/records/ground';
  import type { Format } from '$lib/words/format';
  import PictureChoice from '../picture/PictureChoice.svelte';
  import PictureHandle from '../picture/PictureHandle.svelte';
  import ScaleFields from '../picture/ScaleFields.svelte';
  import { spreadMarks } from '../picture/marks';
  import PictureStage from '../picture/PictureStage.svelte';
  import StripChart from '../picture/StripChart.svelte';
  import OwnStrip from '../picture/OwnStrip.svelte';
  import { problemText } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { upload } from '$lib/browser/upload';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';
  import { PictureReading, type FoundLine } from '../picture/reading.svelte';

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
  onDestroy(() => pictureReading.close());
  const id = $props.id();
  let problem = $state('');
  let taking = $state(false);
  const strip = $derived(pictureReading.strip);
  /** Heights of the vessel that are known without a ruler. */
  const known = $derived([
    { label: t.picture.places.bottom, mm: 0 },
    { label: t.picture.places.water, mm: waterMm },
    ...(vessel.shoulderHeightMm < vessel.innerHeightMm
      ? [{ label: t.picture.places.shoulder, mm: vessel.shoulderHeightMm }]
      : []),
    { label: t.picture.places.rim, mm: vessel.innerHeightMm }
  ]);

  let timer: ReturnType<typeof setTimeout> | undefined;
  $effect(() => {
    const now = strip && ($state.snapshot(strip) as Strip);
    if (!now) return;
    untrack(() => pictureReading.moved(now));
    clearTimeout(timer);
    timer = setTimeout(() => void pictureReading.look(now), 120);
    return () => clearTimeout(timer);
  });

  /** The water over the uppermost named line, as far as the strip shows it. */
  const water = $derived.by(() => {
    const tops = pictureReading.lines
      .filter((l) => l.name !== '' && l.name !== 'surface')
      .map((l) => l.heightMm);
    return pictureReading.read && tops.length > 0
      ? waterOnStrip(pictureReading.read.profile, Math.max(...tops))
      : undefined;
  });
  const stretchOf = $derived(pictureReading.stretched ? pictureReading.read?.stretch : undefined);
  const lineLabel = (line: FoundLine) =>
    t.picture.line(line.name ? t.layer[line.name] : t.picture.noName, format.length(line.heightMm, 1));

  /** Puts the named lines into the reading, and keeps the picture they are from. */
  async function takeLines() {
    problem = pictureReading.doubleName ?? '';
    if (problem) return;
    const named = pictureReading.lines.filter((l): l is FoundLine & { name: LineName } => l.name !== '');
    if (named.length === 0) {
      problem = t.picture.nameOne;
      return;
    }
    taking = true;
    try {
      if (!pictureReading.fileId) {
        pictureReading.fileId = await upload(pictureReading.file!);
        await send('photo.add', {
          photoId: ulid(),
          fileId: pictureReading.fileId,
          subject: 'test',
          subjectId: testId
        });
      }
      form.takeLines(
        named.map(({ name, heightMm, sigmaMm }) => ({ name, heightMm: Math.max(0, heightMm), sigmaMm }))
      );
      form.texts.photoFileId = pictureReading.fileId;
      // What somebody has seen with their own eyes stands.
      if (form.texts.water === '' && water) form.texts.water = water;
      ontaken();
    } catch (failed) {
      problem = problemText(failed);
    } finally {
      taking = false;
    }
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
        {#if pictureReading.squaring && pictureReading.corners}
          <path
            d="M{pictureReading.corners.map((c) => c.join(' ')).join('L')}Z"
            class="square"
            stroke-width={2 * unit}
          />
          {#each pictureReading.corners as corner, i (i)}
            <PictureHandle
              at={corner}
              label={t.picture.corner(i)}
              {unit}
              onmove={(to) => pictureReading.moveCorner(i, to)}
            />
          {/each}
        {:else}
          <OwnStrip {pictureReading} {strip} {unit} />
          {#if strip}
            {@const { right } = stripAxes(strip)}
            {@const shifts = spreadMarks(
              pictureReading.lines.map((line) => pixelOfHeight(strip, line.heightMm)[1]),
              16 * unit
            )}
            {#each pictureReading.lines as line, i (line.key)}
              {@const [x, y] = pixelOfHeight(strip, line.heightMm)}
              {@const half = strip.widthPx / 2 + 14 * unit}
              <path
                d="M{x - right[0] * half} {y - right[1] * half}L{x + right[0] * half} {y + right[1] * half}"
                class="line"
                class:faint={(line.confidence ?? 1) < 0.7}
                stroke-width={2.6 * unit}
              />
              <PictureHandle
                at={[x + right[0] * half, y + right[1] * half]}
                label={lineLabel(line)}
                mark={line.name ? t.layer[line.name] : '?'}
                markShift={shifts[i]}
                {unit}
                shape="bar"
                onmove={(to) => pictureReading.moveLine(line, heightOfPixel(strip, to))}
              />
            {/each}
          {/if}
        {/if}
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
    {#if pictureReading.squaring}<p class="faded small">{t.picture.squareHow}</p>{/if}

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
    {#if pictureReading.label}
      <p class="wrong small" role="alert">
        {t.picture.onLabel(
          format.length(pictureReading.label.fromMm),
          format.length(pictureReading.label.toMm)
        )}
      </p>
    {/if}

    {#if pictureReading.read && strip}
      <div
        class="grid grid-cols-[minmax(0,12rem)_minmax(0,1fr)] gap-6 items-start max-sm:grid-cols-[minmax(0,7.5rem)_minmax(0,1fr)] max-sm:gap-4"
      >
        <StripChart profile={pictureReading.read.profile} lines={pictureReading.lines} />
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
            <button type="button" class="link" onclick={() => pictureReading.addLine()}
              >{t.picture.addLine}</button
            >
            {#if pictureReading.mine.length > 0}
              <button type="button" class="link" onclick={() => pictureReading.putMineBack()}
                >{t.picture.mineBack}</button
              >
            {/if}
            {#if pictureReading.touched}
              <button
                type="button"
                class="link"
                onclick={() => pictureReading.propose(pictureReading.read!.lines)}>{t.picture.anew}</button
              >
            {/if}
          </p>
        </div>
      </div>
      {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
      <button type="button" class="btn btn-secondary" disabled={taking} onclick={takeLines}
        >{t.picture.take}</button
      >
    {/if}
  {/if}
</div>

<style>
  .line {
    stroke: var(--pen);
  }
  .line.faint {
    stroke-dasharray: 6 5;
  }
  .square {
    fill: none;
    stroke: var(--pen);
  }
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--spacing-4);
    align-items: center;
    padding: var(--spacing-2) 0;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
