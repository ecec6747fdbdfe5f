<!-- @component What a single share says: the percent of all that has settled, how sure, and the working. No class follows. -->
<script lang="ts">
  import Fold from '../kit/Fold.svelte';
  import type { ShareResult } from '$lib/core';
  import type { Figures } from '$lib/contract/records/reading';
  import type { Format } from '$lib/words/format';
  import { shareText } from '$lib/words/headline';
  import { t } from '$lib/words';

  type Props = {
    result: ShareResult;
    format: Format;
    /** Set where it is a share that somebody said, and no height. */
    figures?: Figures;
  };
  let { result, format, figures }: Props = $props();

  const inside = (pct: number) => Math.round(Math.min(100, Math.max(0, pct)));
  const part = $derived(figures ? `${result.partMm.toFixed(1)} %` : format.length(result.partMm, 1));
  const whole = $derived(figures ? `${result.totalMm.toFixed(0)} %` : format.length(result.totalMm, 1));
</script>

<div class="grid gap-3">
  <p class="font-head text-3xl font-bold leading-[1.1]" data-testid="headline">
    {shareText(result)}
  </p>
  <svg
    class="w-full h-[26px]"
    viewBox="0 0 300 20"
    preserveAspectRatio="none"
    role="img"
    aria-label={t.result.shareOf}
  >
    <rect width="300" height="20" fill="var(--sheet)" />
    <rect width={inside(result.pct) * 3} height="20" fill="url(#grain-{result.layer})" />
    <rect x=".5" y=".5" width="299" height="19" fill="none" stroke="var(--ink)" />
  </svg>
  {#if result.orMore}<p class="faded">{t.result.shareOverWhy}</p>{:else}
    <p>
      {t.result.shareRange(
        t.common.percent(inside(result.pct - 1.96 * result.sd)),
        t.common.percent(inside(result.pct + 1.96 * result.sd))
      )}
    </p>
    <p class="faded">{t.result.shareOf}</p>
    <Fold label={t.result.working}>
      <p>{part} ÷ {whole} = {result.pct.toFixed(2)} %</p>
      <p class="small">{t.result.shareWorking(result.sd.toFixed(1))}</p>
    </Fold>
  {/if}
</div>
