<!-- @component What a reading says: class and probability, the nearest other class, gravel, and the working. -->
<script lang="ts">
  import { DEFAULT_DRAWS, roundShares, type JarResult } from '$lib/core';
  import type { Format } from '../format';
  import { chanceText } from '../jar/words';
  import { t } from '../strings';

  type Props = {
    result: JarResult;
    sigmaMm: number;
    /** Glass that was taken off every height, mm. */
    baseMm?: number;
    format: Format;
  };
  let { result, sigmaMm, baseMm = 0, format }: Props = $props();

  const shares = $derived(roundShares([result.fractions.sand, result.fractions.silt, result.fractions.clay]));
  const other = $derived(result.classes.find((c) => c.id !== result.class.id && c.probability >= 0.005));
  const pointsText = $derived.by(() => {
    const n = result.nearest.points;
    return n < 1 ? t.result.lessThanPoint : t.result.points(Math.round(n * 10) / 10);
  });
  const parts = $derived([
    { key: 'clay' as const, mm: result.layers.clayMm, pct: result.fractions.clay, sd: result.sd.clay },
    { key: 'silt' as const, mm: result.layers.siltMm, pct: result.fractions.silt, sd: result.sd.silt },
    { key: 'sand' as const, mm: result.layers.sandMm, pct: result.fractions.sand, sd: result.sd.sand }
  ]);
  const finesMm = $derived(result.layers.sandMm + result.layers.siltMm + result.layers.clayMm);
</script>

<div class="outcome">
  <p class="head" data-testid="headline">
    {t.result.headline(result.class.name, chanceText(result.probability))}
  </p>
  <p>
    {#if result.borderline && other}{t.result.borderline(
        other.name,
        chanceText(other.probability)
      )}{:else}{t.result.sure(result.nearest.name)}{/if}
    {t.result.swap(
      pointsText,
      t.layer[result.nearest.take],
      t.layer[result.nearest.give],
      result.nearest.name
    )}
  </p>
  {#if result.layers.gravelMm > 0}<p>
      {t.result.gravel(t.common.percent(Math.round(result.gravelPct)))}
    </p>{/if}

  <details>
    <summary class="link">{t.result.working}</summary>
    <table class="plain">
      <tbody>
        {#each parts as part (part.key)}
          <tr>
            <th scope="row">{t.Layer[part.key]}</th>
            <td class="num">{format.length(part.mm, 1)} ÷ {format.length(finesMm, 1)}</td>
            <td class="num">= {part.pct.toFixed(2)} %</td>
            <td class="num">± {part.sd.toFixed(1)}</td>
          </tr>
        {/each}
        <tr>
          <th scope="row">{t.result.workingTotal}</th>
          <td class="num">{format.length(finesMm, 1)}</td>
          <td class="num">{shares.join(' · ')}</td>
          <td></td>
        </tr>
        {#if result.layers.gravelMm > 0}
          <tr>
            <th scope="row">{t.Layer.gravel}</th>
            <td class="num"
              >{format.length(result.layers.gravelMm, 1)} ÷ {format.length(result.totalMm, 1)}</td
            >
            <td class="num">= {result.gravelPct.toFixed(2)} %</td>
            <td></td>
          </tr>
        {/if}
      </tbody>
    </table>
    {#if baseMm > 0}<p class="small">{t.result.workingBase(format.length(baseMm, 1))}</p>{/if}
    <p class="small">{t.result.workingHeight}</p>
    <p class="small">{t.result.workingClass}</p>
    <p class="small">
      {t.result.workingCertainty(DEFAULT_DRAWS.toLocaleString('en-GB'), format.length(sigmaMm, 1))}
    </p>
    <ul class="plain-list small classes">
      {#each result.classes.filter((c) => c.probability >= 0.005) as c (c.id)}
        <li><span>{c.name}</span><span>{(c.probability * 100).toFixed(1)} %</span></li>
      {/each}
    </ul>
  </details>
</div>

<style>
  .outcome {
    display: grid;
    gap: 0.5rem;
  }
  .head {
    font: 700 1.95rem/1.1 var(--face-head);
  }
  summary {
    display: inline-block;
    min-height: 32px;
    cursor: pointer;
  }
  details p {
    margin-top: 0.6rem;
  }
  td.num {
    white-space: nowrap;
    font-size: 0.92rem;
  }
  .classes {
    margin-top: 0.6rem;
    max-width: 16rem;
  }
  .classes li {
    display: flex;
    justify-content: space-between;
    border-bottom: 1px solid var(--hair);
  }
  @media (max-width: 640px) {
    .head {
      font-size: 1.7rem;
    }
    td.num {
      font-size: 0.8rem;
    }
  }
  @media print {
    details > summary {
      display: none;
    }
  }
</style>
