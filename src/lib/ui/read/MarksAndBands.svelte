<!-- @component Timed marks beside the lines read at the end, and what their difference means for this jar. -->
<script lang="ts">
  import { marksAgainstBands, type LayerTops } from '$lib/core';
  import type { MarkRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { marks: readonly MarkRecord[]; tops: LayerTops; sigmaMm: number; format: Format };
  let { marks, tops, sigmaMm, format }: Props = $props();

  const rows = $derived(
    marksAgainstBands(
      marks.map(({ layer, heightMm }) => ({ layer: layer as 'sand', heightMm })),
      tops,
      sigmaMm
    )
  );
  /** Lines that only repeat their marks say nothing. */
  const apart = $derived(rows.filter((row) => Math.abs(row.byMm) > 1e-6));
  const signed = (mm: number) =>
    `${Math.abs(mm) < 0.05 ? '' : mm < 0 ? '−' : '+'}${format.length(Math.abs(mm), 1)}`;
</script>

{#if apart.length > 0}
  <section class="mt-5 mb-6 border-t border-hair pt-3" aria-label={t.sides.title}>
    <h2 class="text-base text-faded mb-2">{t.sides.title}</h2>
    <table class="plain w-full">
      <thead>
        <tr>
          <th scope="col">{t.mass.part}</th>
          <th scope="col" class="num">{t.sides.mark}</th>
          <th scope="col" class="num">{t.sides.band}</th>
          <th scope="col" class="num">{t.sides.by}</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as row (row.layer)}
          <tr>
            <th scope="row">{t.Layer[row.layer]}</th>
            <td class="num">{format.length(row.markMm, 1)}</td>
            <td class="num">{format.length(row.bandMm, 1)}</td>
            <td class="num">{signed(row.byMm)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <ul class="plain-list small">
      {#each apart as row (row.layer)}
        <li class="mt-2">{t.sides.means[row.means](t.layer[row.layer], format.length(row.allowedMm, 1))}</li>
      {/each}
    </ul>
  </section>
{/if}
