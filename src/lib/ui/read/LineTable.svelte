<!-- @component The layers as a table from the top down, as they lie in the jar: entry, share, and a wider +- where a line is fuzzy. -->
<script lang="ts">
  import { LAYER_ORDER, READING_SIGMA_MM, roundShares, type JarResult, type LayerName } from '$lib/core';
  import type { Format } from '../format';
  import { t } from '../strings';
  import type { ReadingForm } from './form.svelte';

  type Props = { form: ReadingForm; result?: JarResult; format: Format };
  let { form, result, format }: Props = $props();

  const id = $props.id();
  const rows = $derived(LAYER_ORDER.filter((l) => form.layersShown.includes(l)).toReversed());
  const errors = $derived(form.errors);
  const shares = $derived.by(() => {
    if (!result) return undefined;
    const [sand, silt, clay] = roundShares([
      result.fractions.sand,
      result.fractions.silt,
      result.fractions.clay
    ]);
    return { sand, silt, clay, gravel: Math.round(result.gravelPct) };
  });
  let fuzzy = $state<Partial<Record<LayerName, boolean>>>({});
  const isFuzzy = (layer: LayerName) => fuzzy[layer] || form.texts.sigmas[layer] !== '';
  const label = (layer: LayerName) =>
    form.texts.mode === 'heights' ? t.read.line(t.layer[layer]) : t.read.thick(t.layer[layer]);
</script>

<div class="lines">
  {#each rows as layer (layer)}
    <div class="row">
      <span class="swatch" aria-hidden="true">
        <svg width="26" height="26"><rect width="26" height="26" fill="url(#grain-{layer})" /></svg>
      </span>
      <label for="{id}-{layer}">{t.Layer[layer]}<span class="sr-only">: {label(layer)}</span></label>
      <input
        id="{id}-{layer}"
        class="entry num"
        inputmode={form.fieldUnit === 'in' ? 'text' : 'decimal'}
        bind:value={form.texts.lines[layer]}
        placeholder={form.fieldUnit}
        aria-invalid={errors[layer] ? 'true' : undefined}
        aria-describedby={errors[layer] ? `${id}-${layer}-error` : undefined}
      />
      <span class="share" class:faded={layer === 'gravel'}
        >{shares ? t.common.percent(shares[layer]) : ''}</span
      >
      <div class="more small">
        {#if errors[layer]}<p class="wrong" id="{id}-{layer}-error" role="alert">{errors[layer]}</p>{/if}
        {#if layer === 'gravel'}<span class="faded">{t.read.gravelNote}</span>{/if}
        {#if isFuzzy(layer)}
          <span class="fuzzy">
            ±
            <input
              class="entry"
              aria-label={t.read.fuzzyLabel(t.layer[layer])}
              bind:value={form.texts.sigmas[layer]}
              placeholder={form.fieldUnit}
              aria-invalid={errors[`${layer}-sigma`] ? 'true' : undefined}
            />
          </span>
          {#if errors[`${layer}-sigma`]}<p class="wrong" role="alert">{errors[`${layer}-sigma`]}</p>{/if}
        {:else}
          <button
            type="button"
            class="link"
            onclick={() => (fuzzy[layer] = true)}
            aria-label="{t.Layer[layer]}: {t.read.fuzzy}"
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
      <label for="{id}-organics">{t.Layer.organics}</label>
      <input
        id="{id}-organics"
        class="entry num"
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
  <div class="optional small">
    {#if !form.texts.gravel}
      <button type="button" class="link" onclick={() => (form.texts.gravel = true)}>+ {t.layer.gravel}</button
      >
    {/if}
    {#if !form.texts.floating}
      <button type="button" class="link" onclick={() => (form.texts.floating = true)}
        >+ {t.layer.organics}</button
      >
    {/if}
    <span class="faded"
      >{t.read.rulerError(
        format.length(READING_SIGMA_MM[form.texts.ruler === 'mm' ? 'ruler' : form.texts.ruler], 1)
      )}</span
    >
  </div>
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 26px 1fr 6.2rem 3.4rem;
    gap: 0 0.8rem;
    align-items: center;
    padding: 0.35rem 0 0.15rem;
    border-bottom: 1px solid var(--hair);
  }
  .swatch svg {
    display: block;
    border: 1px solid var(--ink);
  }
  label {
    font-size: 1.05rem;
  }
  .num {
    text-align: right;
    font-size: 1.1rem;
  }
  .share {
    text-align: right;
    font-weight: 700;
    font-size: 1.12rem;
  }
  .share.faded {
    font-weight: 500;
  }
  .more {
    grid-column: 2 / -1;
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0 1rem;
    align-items: center;
    min-height: 26px;
  }
  .more .link,
  .optional .link {
    min-height: 30px;
    padding: 0.1rem 0;
    color: var(--faded);
  }
  .more .wrong {
    flex-basis: 100%;
  }
  .fuzzy {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
  }
  .fuzzy .entry {
    width: 5.2rem;
    min-height: 36px;
  }
  .optional {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.2rem;
    align-items: center;
    padding-top: 0.4rem;
  }
  .optional span {
    margin-left: auto;
  }
  @media (max-width: 640px) {
    .more .link,
    .optional .link {
      min-height: 44px;
    }
  }
</style>
