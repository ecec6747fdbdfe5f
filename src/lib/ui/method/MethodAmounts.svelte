<!-- @component What a method asks for: soil, water, dispersant, how it is shaken, and when it is over. -->
<script lang="ts">
  import { formatDuration, type Method } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';

  let { method, format }: { method: Method; format: Format } = $props();
</script>

<dl>
  <div>
    <dt>{t.plan.soil}</dt>
    <dd>{method.fill.soilNote}</dd>
  </div>
  <div>
    <dt>{t.plan.water}</dt>
    <dd>{method.fill.waterNote}</dd>
  </div>
  <div>
    <dt>{t.plan.dispersant}</dt>
    <dd>
      {method.dispersant.mlPerL > 0
        ? `${format.dose(method.dispersant.mlPerL)} ${t.plan.aLitre}, `
        : ''}{method.dispersant.note}
    </dd>
  </div>
  <div>
    <dt>{t.plan.agitate}</dt>
    <dd>
      {method.agitate.how.toLowerCase()}, {t.set.markWindow(
        formatDuration(method.agitate.fromS),
        formatDuration(method.agitate.toS)
      )}
    </dd>
  </div>
  <div>
    <dt>{t.plan.over}</dt>
    <dd>{method.end.note}</dd>
  </div>
</dl>

<style>
  dl > div {
    display: grid;
    grid-template-columns: 7rem 1fr;
    padding: var(--spacing-1) 0;
  }
  dt {
    color: var(--faded);
  }
  dd {
    margin: 0;
  }
</style>
