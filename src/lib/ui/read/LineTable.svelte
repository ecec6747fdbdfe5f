<!--
  @component The lines as a table from the top down, as they lie in the jar: entry, share, a wider +- where a line is
  fuzzy, and a second column where a second person reads.
-->
<script lang="ts">
  import { isShare, LINE_ORDER, roundShares, type JarResult, type LineName } from '$lib/core';
  import { UNPLACED } from '$lib/contract/records/reading';
  import { TEXTURE_LAYERS, type TextureLayer } from '$lib/workbench/layers';
  import Choice from '../fields/Choice.svelte';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';
  import { OPTIONAL_LINES } from '$lib/workbench/entry/texts';

  type Props = { form: ReadingForm; result?: JarResult; format: Format };
  let { form, result, format }: Props = $props();

  const id = $props.id();
  const rows = $derived(LINE_ORDER.filter((line) => form.linesShown.includes(line)).toReversed());
  const errors = $derived(form.errors);
  const pair = $derived(form.texts.pair);
  const shares = $derived.by((): Partial<Record<LineName, number>> | undefined => {
    if (!result) return undefined;
    if (isShare(result)) return { [result.layer]: Math.round(result.pct) };
    const [sand, silt, clay] = roundShares([
      result.fractions.sand,
      result.fractions.silt,
      result.fractions.clay
    ]);
    return { sand, silt, clay, gravel: Math.round(result.gravelPct) };
  });
  let fuzzy = $state<Partial<Record<LineName, boolean>>>({});
  const isFuzzy = (line: LineName) => fuzzy[line] || form.texts.sigmas[line] !== '';
  const label = (line: LineName) =>
    form.texts.way === 'heights' ? t.read.line(t.layer[line]) : t.read.thick(t.layer[line]);
  /** A layer without a line is asked about, and the answer can be changed as long as it has none. */
  const asks = (line: LineName) =>
    form.unanswered.includes(line as TextureLayer) ||
    (TEXTURE_LAYERS.includes(line as TextureLayer) &&
      form.texts.unplaced[line as TextureLayer] !== '' &&
      form.tops[line] === undefined);
  /** Over coarse sand what is measured as sand by thickness is the fine. */
  const nameOf = (line: LineName) =>
    line === 'sand' && form.texts.coarse && form.texts.way === 'thicknesses'
      ? t.read.fineSand
      : t.Layer[line];
  const note = (line: LineName) => t.read.lineNotes[line as 'gravel'] as string | undefined;
  /** What two people differ by on a line, where it is more than a reading error. */
  function apart(line: LineName): string | undefined {
    const [a, b] = [form.tops[line], form.secondTops[line]];
    if (!pair || a === undefined || b === undefined || Math.abs(a - b) <= form.sigmaMm) return undefined;
    return t.read.differ(format.length(Math.abs(a - b), 1));
  }
</script>

<div class="lines" class:pair>
  {#if pair}
    <div class="row readers">
      <span></span>
      <label class="text-lg" for="{id}-by">{t.read.by}</label>
      <input id="{id}-by" class="input" bind:value={form.texts.by} maxlength="40" />
      <input
        class="input"
        aria-label={t.read.secondBy}
        placeholder={t.read.secondBy}
        bind:value={form.texts.secondBy}
        maxlength="40"
        aria-invalid={errors.secondBy ? 'true' : undefined}
        aria-describedby={errors.secondBy ? `${id}-second-by-error` : undefined}
      />
      {#if errors.secondBy}<p class="wrong small more" id="{id}-second-by-error" role="alert">
          {errors.secondBy}
        </p>{/if}
    </div>
  {/if}
  {#each rows as line (line)}
    <div class="row">
      <span class="swatch" aria-hidden="true">
        <svg width="26" height="26"><rect width="26" height="26" fill="url(#grain-{line})" /></svg>
      </span>
      <label class="text-lg" for="{id}-{line}"
        >{nameOf(line)}<span class="sr-only">: {label(line)}</span></label
      >
      <input
        id="{id}-{line}"
        class="input num text-right text-lg"
        inputmode={form.fieldUnit === 'in' ? 'text' : 'decimal'}
        bind:value={form.texts.lines[line]}
        placeholder={form.fieldUnit}
        aria-invalid={errors[line] ? 'true' : undefined}
        aria-describedby={errors[line] ? `${id}-${line}-error` : undefined}
      />
      {#if pair}
        <input
          class="input num text-right text-lg"
          inputmode={form.fieldUnit === 'in' ? 'text' : 'decimal'}
          aria-label={t.read.secondLine(label(line))}
          bind:value={form.texts.second[line]}
          placeholder={form.fieldUnit}
          aria-invalid={errors[`${line}-second`] ? 'true' : undefined}
          aria-describedby={errors[`${line}-second`] ? `${id}-${line}-second-error` : undefined}
        />
      {/if}
      <span class="share text-right font-bold text-lg" class:faded={line === 'gravel'}
        >{shares?.[line] === undefined ? '' : t.common.percent(shares[line])}</span
      >
      <div class="more small">
        {#if errors[line]}<p class="wrong" id="{id}-{line}-error" role="alert">{errors[line]}</p>{/if}
        {#if errors[`${line}-second`]}<p class="wrong" id="{id}-{line}-second-error" role="alert">
            {errors[`${line}-second`]}
          </p>{/if}
        {#if form.followed?.layer === line && form.followed.mm >= 0}
          <span class="faded">{t.read.follows(form.say(form.followed.mm, format))}</span>
        {:else if asks(line)}
          <div class="ask">
            <Choice
              label={t.read.unplacedOf(t.layer[line])}
              bind:value={form.texts.unplaced[line as TextureLayer]}
              options={UNPLACED.map((value) => ({ value, label: t.read.unplaced[value] }))}
            />
          </div>
        {/if}
        {#if note(line)}<span class="faded">{note(line)}</span>{/if}
        {#if apart(line)}<span class="font-[650]">{apart(line)}</span>{/if}
        {#if isFuzzy(line)}
          <span class="inline-flex items-center gap-2">
            ±
            <input
              class="input w-[5.2rem] min-h-[36px]"
              aria-label={t.read.fuzzyLabel(t.layer[line])}
              bind:value={form.texts.sigmas[line]}
              placeholder={form.fieldUnit}
              aria-invalid={errors[`${line}-sigma`] ? 'true' : undefined}
            />
          </span>
          {#if errors[`${line}-sigma`]}<p class="wrong" role="alert">{errors[`${line}-sigma`]}</p>{/if}
        {:else}
          <button
            type="button"
            class="link"
            onclick={() => (fuzzy[line] = true)}
            aria-label="{t.Layer[line]}: {t.read.fuzzy}"
          >
            {t.read.fuzzy}
          </button>
        {/if}
      </div>
    </div>
  {/each}
  {#if form.texts.floating}
    <div class="row">
      <span class="swatch" aria-hidden="true">
        <svg width="26" height="26"
          ><rect width="26" height="26" fill="var(--clear)" /><rect
            width="26"
            height="26"
            fill="url(#grain-organics)"
          /></svg
        >
      </span>
      <label class="text-lg" for="{id}-organics"
        >{form.texts.ruler === 'mL' ? t.read.humus : t.Layer.organics}</label
      >
      <input
        id="{id}-organics"
        class="input num text-right text-lg"
        bind:value={form.texts.organics}
        placeholder={form.fieldUnit}
        aria-invalid={errors.organics ? 'true' : undefined}
      />
      <span></span>
      <div class="more small">
        {#if errors.organics}<p class="wrong" role="alert">{errors.organics}</p>{/if}
        <span class="faded">{t.read.organicsNote}</span>
      </div>
    </div>
  {/if}
  <div class="optional small flex flex-wrap gap-y-1 gap-x-5 items-center pt-2">
    {#each OPTIONAL_LINES.filter((line) => !form.texts[line]) as line (line)}
      <button type="button" class="link" onclick={() => (form.texts[line] = true)}>+ {t.layer[line]}</button>
    {/each}
    {#if !form.texts.floating}
      <button type="button" class="link" onclick={() => (form.texts.floating = true)}
        >+ {t.layer.organics}</button
      >
    {/if}
    <button type="button" class="link" onclick={() => (form.texts.pair = !pair)}
      >{pair ? t.read.pairDrop : `+ ${t.read.pair.toLowerCase()}`}</button
    >
    <span class="faded ml-auto"
      >{t.read.rulerError(
        form.texts.ruler === 'mL' ? t.read.halfMl(form.halfLineMl) : format.length(form.sigmaMm, 1)
      )}</span
    >
  </div>
  {#if pair}<p class="faded small">{t.read.pairNote}</p>{/if}
  {#if form.shaped}<p class="faded small">{t.read.shaped((1 / form.mmPerMl).toFixed(1))}</p>{/if}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 26px minmax(0, 1fr) 6.2rem 3.4rem;
    gap: 0 var(--spacing-4);
    align-items: center;
    padding: var(--spacing-2) 0 var(--spacing-1);
    border-bottom: var(--line) solid var(--hair);
  }
  .pair .row {
    grid-template-columns: 26px minmax(0, 1fr) 5rem 5rem 2.9rem;
    gap: 0 var(--spacing-3);
  }
  .readers input:last-of-type {
    grid-column: span 2;
  }
  .swatch svg {
    display: block;
    border: var(--line) solid var(--ink);
  }
  .share.faded {
    font-weight: 500;
  }
  .more {
    grid-column: 2 / -1;
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0 var(--spacing-5);
    align-items: center;
    min-height: 26px;
  }
  .more .link,
  .optional .link {
    min-height: 30px;
    padding: var(--spacing-1) 0;
    color: var(--faded);
  }
  .more .wrong {
    flex-basis: 100%;
  }
  .ask {
    flex-basis: 100%;
    padding: var(--spacing-1) 0 var(--spacing-3) var(--spacing-3);
    border-left: var(--line-heavy) solid var(--pen);
  }
  @media (max-width: 640px) {
    .more .link,
    .optional .link {
      min-height: 44px;
    }
  }
</style>
