<!-- @component What a reading says: class and probability, the nearest other class, gravel, and the working. -->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import LaterTable from '../kit/LaterTable.svelte';
  import {
    DEFAULT_DRAWS,
    gravellyName,
    roundShares,
    type Fractions,
    type ReadingDoubt,
    type TextureResult
  } from '$lib/core';
  import type { Figures } from '$lib/contract/records/reading';
  import type { Format } from '$lib/words/format';
  import { byMassText, chanceLine, chanceText, headline } from '$lib/words/headline';
  import { swapText } from '$lib/words/swap';
  import { t } from '$lib/words';
  import Doubts from '../answer/Doubts.svelte';

  type Props = {
    result: TextureResult;
    sigmaMm: number;
    /** Glass that was taken off every height, mm. */
    baseMm?: number;
    format: Format;
    /** What stands against it. */
    doubts?: readonly ReadingDoubt[];
    /** Set where the lines are shares and no heights. */
    figures?: Figures;
    /** The answer stands over it: this is the arithmetic of its heights, without a class of its own. */
    arithmetic?: boolean;
    /** What it is by mass, percent, where that was estimated. */
    byMass?: Fractions;
  };
  let {
    result,
    sigmaMm,
    baseMm = 0,
    doubts = [],
    figures,
    format,
    arithmetic = false,
    byMass
  }: Props = $props();

  /** A thickness, or the volume it stands for where the glass is not straight. */
  const size = (mm: number) =>
    figures
      ? `${mm.toFixed(1)} %`
      : result.mlPerMm === undefined
        ? format.length(mm, 1)
        : `${(mm * result.mlPerMm).toFixed(1)} mL`;
  const read = $derived(result.calibrated?.asRead ?? result.fractions);
  const asRead = $derived(roundShares([read.sand, read.silt, read.clay]));
  const swap = $derived(swapText(result.system, result.fractions));
  const other = $derived(result.classes.find((c) => c.id !== result.class.id && c.probability >= 0.005));
  /** The working: each layer over all of them, and gravel over the whole. */
  const working = $derived.by(() => {
    const { layers, sd } = result;
    const finesMm = layers.sandMm + layers.siltMm + layers.clayMm;
    const lines = (['clay', 'silt', 'sand'] as const).map((part) => ({
      name: t.Layer[part],
      size: `${size(layers[`${part}Mm`])} ÷ ${size(finesMm)}`,
      share: `= ${read[part].toFixed(2)} %`,
      sd: `± ${sd[part].toFixed(1)}`
    }));
    lines.push({ name: t.result.workingTotal, size: size(finesMm), share: asRead.join(' · '), sd: '' });
    if (layers.gravelMm > 0) {
      lines.push({
        name: t.Layer.gravel,
        size: `${size(layers.gravelMm)} ÷ ${size(result.totalMm)}`,
        share: `= ${result.gravelPct.toFixed(2)} %`,
        sd: ''
      });
    }
    return lines;
  });
</script>

<div class="grid gap-3">
  {#if !arithmetic}
    <p class="font-head text-2xl font-bold leading-[1.15] max-sm:text-2xl" data-testid="headline">
      {headline(result.class.name, result.fractions)}
    </p>
    <Doubts {doubts} />
    <p data-testid="chance">
      {chanceLine(result.class.name, result.probability, figures ? 'shares' : 'reading')}
      {#if result.borderline && other}{t.result.borderline(
          other.name,
          chanceText(other.probability)
        )}{:else if !swap}{t.result.sure(result.nearest.name)}{/if}
      {swap}
    </p>
  {/if}
  {#if result.layers.gravelMm > 0}<p>
      {t.result.gravel(
        t.common.percent(Math.round(result.gravelPct)),
        result.gravelPct >= 15 ? gravellyName(result.class.name, result.gravelPct) : ''
      )}
    </p>{/if}

  {#if result.coarseMm !== undefined}<p>
      {t.result.coarse(size(result.coarseMm), size(result.layers.sandMm - result.coarseMm))}
    </p>{/if}
  {#if result.skinMm}<p>{t.result.skin(size(result.skinMm))}</p>{/if}
  {#if result.calibrated}<p class="pl-4 border-l-3 border-ink">
      {t.result.calibrated(result.calibrated.pairs, asRead[0], asRead[1], asRead[2])}
    </p>{/if}

  <Fold label={arithmetic ? t.answer.asReadTitle : t.result.working}>
    <LaterTable
      rows={working}
      key={(row) => row.name}
      columns={[
        { id: 'name', namesRow: true, text: (row) => row.name },
        { id: 'size', num: true, class: 'text-sm max-sm:text-xs', text: (row) => row.size },
        { id: 'share', num: true, class: 'text-sm max-sm:text-xs', text: (row) => row.share },
        { id: 'sd', num: true, class: 'text-sm max-sm:text-xs', text: (row) => row.sd }
      ]}
    />
    {#if baseMm > 0}<p class="small mt-3">{t.result.workingBase(format.length(baseMm, 1))}</p>{/if}
    <p class="small mt-3">
      {figures ? t.result.workingFigures[figures] : t.result.workingHeight}
      {#if byMass && !figures}{byMassText(result.fractions, byMass)}{/if}
    </p>
    {#if !arithmetic}
      <p class="small mt-3">{t.result.workingClass}</p>
      <p class="small mt-3">
        {t.result.workingCertainty(
          DEFAULT_DRAWS.toLocaleString('en-GB'),
          figures ? t.result.eyePoints : format.length(sigmaMm, 1)
        )}
      </p>
      <ul class="plain-list small mt-3 max-w-[16rem]">
        {#each result.classes.filter((c) => c.probability >= 0.005) as c (c.id)}
          <li class="flex justify-between border-b border-hair">
            <span>{c.name}</span><span>{(c.probability * 100).toFixed(1)} %</span>
          </li>
        {/each}
      </ul>
    {/if}
  </Fold>
</div>
