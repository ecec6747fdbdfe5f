<!-- @component What a crew goes by: the sand share, its chance to be over the line, and what to plan for. -->
<script lang="ts">
  import type { BoreVerdict } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';

  type Props = {
    bore: BoreVerdict;
    /** Sand at the line, percent. */
    line: number;
  };
  let { bore, line }: Props = $props();
</script>

<p
  class="font-head text-2xl font-[650] leading-[1.2] max-w-[46rem]"
  data-testid="act-verdict"
  aria-live="polite"
>
  {t.act.bore.verdict[bore.plan](
    t.common.percent(Math.round(bore.sand)),
    chanceText(bore.chance),
    t.common.percent(line)
  )}
</p>
