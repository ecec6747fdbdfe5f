<!-- @component The result of a cylinder test: class and chance, the three shares by mass, and the nearest other class. -->
<script lang="ts">
  import LaterTable from '../kit/LaterTable.svelte';
  import { NINE_IN_TEN_SD, roundShares, type CylinderResult } from '$lib/core';
  import { answerChance, answerHeadline } from '$lib/words/headline';
  import { swapText } from '$lib/words/swap';
  import { t } from '$lib/words';

  let { result }: { result: CylinderResult } = $props();
  const parts = ['sand', 'silt', 'clay'] as const;
  const shares = $derived(roundShares(parts.map((p) => result.fractions[p])));
</script>

<div>
  <p class="class font-head text-2xl font-[660] leading-[1.2] mb-2 my-2" data-testid="headline">
    {answerHeadline(result)}
  </p>
  <p class="my-2">
    {answerChance(result, 'instrument')}
    {swapText('usda', result.fractions)}
  </p>
  <LaterTable
    rows={parts.map((part, i) => ({ part, share: shares[i] }))}
    key={(row) => row.part}
    class="tight max-w-narrow"
    columns={[
      { id: 'part', namesRow: true, class: 'text-ink', text: (row) => t.Layer[row.part] },
      { id: 'share', num: true, class: 'text-lg', strong: true, text: (row) => `${row.share} %` },
      {
        id: 'sd',
        num: true,
        class: 'text-faded',
        text: (row) => `± ${(NINE_IN_TEN_SD * result.sd[row.part]).toFixed(1)}`
      }
    ]}
  />
  <p class="faded small my-2">{t.cylinder.byMassNote}</p>
</div>
