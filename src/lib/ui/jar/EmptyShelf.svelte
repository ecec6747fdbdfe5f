<!-- @component The bench before the first jar: the shelf, the outline of a jar to come, and one invitation. -->
<script lang="ts">
  import { STANDARD_VESSELS } from '$lib/core';
  import { t } from '$lib/words';
  import { outlineOf } from '../vessel/outline';

  const o = outlineOf(STANDARD_VESSELS[1], 1.9);
</script>

<div class="flex flex-col items-center pt-8 text-center">
  <svg width={o.width} height={o.height} viewBox="0 0 {o.width} {o.height}" aria-hidden="true">
    <path d={o.outer} />
    {#if o.lid}<rect {...o.lid} rx="2.5" />{/if}
  </svg>
  <div class="board" aria-hidden="true"></div>
  <h2>{t.bench.emptyTitle}</h2>
  <p class="max-w-[34rem] mt-3 mb-6">{t.bench.emptyLead} {t.stands.emptyLead}</p>
  <div class="row-of-actions">
    <a class="btn btn-primary" href="/set">{t.bench.setJar}</a>
    <a class="btn btn-secondary" href="/stands">{t.stands.link}</a>
  </div>
</div>

<style>
  svg * {
    fill: none;
    stroke: var(--rule);
    stroke-width: 2;
    stroke-dasharray: 6 5;
  }
  .board {
    align-self: stretch;
    height: 20px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-bottom: var(--spacing-6);
  }
</style>
