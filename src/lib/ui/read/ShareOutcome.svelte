<!-- @component What a single share says: the percent of all that has settled, how sure, and the working. No class follows. -->
<script lang="ts">
  import type { ShareResult } from '$lib/core';
  import type { Figures } from '$lib/contract/records/reading';
  import type { Format } from '$lib/words/format';
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

<div class="outcome">
  <p class="head" data-testid="headline">
    {t.result.share(t.layer[result.layer], t.common.percent(inside(result.pct)))}
  </p>
  <svg viewBox="0 0 300 20" preserveAspectRatio="none" role="img" aria-label={t.result.shareOf}>
    <rect width="300" height="20" fill="var(--sheet)" />
    <rect width={inside(result.pct) * 3} height="20" fill="url(#grain-{result.layer})" />
    <rect x=".5" y=".5" width="299" height="19" fill="none" stroke="var(--ink)" />
  </svg>
  <p>
    {t.result.shareRange(
      t.common.percent(inside(result.pct - 1.96 * result.sd)),
      t.common.percent(inside(result.pct + 1.96 * result.sd))
    )}
  </p>
  <p class="faded">{t.result.shareOf}</p>
  <details>
    <summary class="link">{t.result.working}</summary>
    <p>{part} ÷ {whole} = {result.pct.toFixed(2)} %</p>
    <p class="small">{t.result.shareWorking(result.sd.toFixed(1))}</p>
  </details>
</div>

<style>
  .outcome {
    display: grid;
    gap: var(--spacing-3);
  }
  .head {
    font: 700 var(--text-3xl)/1.1 var(--face-head);
  }
  svg {
    width: 100%;
    height: 26px;
  }
  summary {
    display: inline-block;
    min-height: 32px;
    cursor: pointer;
  }
</style>
