<!-- @component The result of a cylinder test: class and chance, the three shares by mass, and the nearest other class. -->
<script lang="ts">
  import { NINE_IN_TEN_SD, roundShares, type CylinderResult } from '$lib/core';
  import { chanceLine, chanceText, headline } from '$lib/words/headline';
  import { t } from '$lib/words';

  let { result }: { result: CylinderResult } = $props();
  const parts = ['sand', 'silt', 'clay'] as const;
  const other = $derived(result.classes.find((c) => c.id !== result.class.id && c.probability >= 0.005));
  const points = $derived.by(() => {
    const n = result.nearest.points;
    return n < 1 ? t.result.lessThanPoint : t.result.points(Math.round(n * 10) / 10);
  });
  const shares = $derived(roundShares(parts.map((p) => result.fractions[p])));
</script>

<div class="outcome">
  <p class="class" data-testid="headline">
    {headline(result.class.name, result.fractions)}
  </p>
  <p>
    {chanceLine(result.class.name, result.probability, 'instrument')}
    {#if result.borderline && other}{t.result.borderline(
        other.name,
        chanceText(other.probability)
      )}{:else}{t.result.sure(result.nearest.name)}{/if}
    {t.result.swap(points, t.layer[result.nearest.take], t.layer[result.nearest.give], result.nearest.name)}
  </p>
  <table class="plain">
    <tbody>
      {#each parts as part, i (part)}
        <tr>
          <th scope="row">{t.Layer[part]}</th>
          <td class="num share"><b>{shares[i]} %</b></td>
          <td class="num faded">± {(NINE_IN_TEN_SD * result.sd[part]).toFixed(1)}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="faded small">{t.cylinder.byMassNote}</p>
</div>

<style>
  .class {
    font: 660 var(--text-2xl)/1.2 var(--face-head);
    margin-bottom: var(--spacing-2);
  }
  .outcome td,
  .outcome th {
    padding: var(--spacing-1) var(--spacing-6) var(--spacing-1) 0;
    color: var(--ink);
  }
  .outcome td.faded {
    color: var(--faded);
  }
  table {
    max-width: 20rem;
  }
  .share {
    font-size: var(--text-lg);
  }
  p {
    margin: var(--spacing-2) 0;
  }
</style>
