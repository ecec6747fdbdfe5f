<!-- @component Timed marks beside the lines read at the end, and what their difference means for this jar. -->
<script lang="ts">
  import LaterTable from '../kit/LaterTable.svelte';
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
    <LaterTable
      {rows}
      key={(row) => row.layer}
      class="w-full"
      columns={[
        { id: 'layer', head: t.mass.part, namesRow: true, text: (row) => t.Layer[row.layer] },
        { id: 'mark', head: t.sides.mark, num: true, text: (row) => format.length(row.markMm, 1) },
        { id: 'band', head: t.sides.band, num: true, text: (row) => format.length(row.bandMm, 1) },
        { id: 'by', head: t.sides.by, num: true, text: (row) => signed(row.byMm) }
      ]}
    />
    <ul class="plain-list small">
      {#each apart as row (row.layer)}
        <li class="mt-2">{t.sides.means[row.means](t.layer[row.layer], format.length(row.allowedMm, 1))}</li>
      {/each}
    </ul>
  </section>
{/if}
