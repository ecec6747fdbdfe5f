<!-- @component The bench before the first jar: the shelf, the outline of a jar to come, and one invitation. -->
<script lang="ts">
  import { STANDARD_VESSELS } from '$lib/core';
  import { t } from '$lib/words';
  import { outlineOf } from '../vessel/outline';

  const o = outlineOf(STANDARD_VESSELS[1], 1.9);
</script>

<div class="empty">
  <svg width={o.width} height={o.height} viewBox="0 0 {o.width} {o.height}" aria-hidden="true">
    <path d={o.outer} />
    {#if o.lid}<rect {...o.lid} rx="2.5" />{/if}
  </svg>
  <div class="board" aria-hidden="true"></div>
  <h2>{t.bench.emptyTitle}</h2>
  <p>{t.bench.emptyLead} {t.stands.emptyLead}</p>
  <div class="row-of-actions">
    <a class="btn btn-primary" href="/set">{t.bench.setJar}</a>
    <a class="btn btn-secondary" href="/stands">{t.stands.link}</a>
  </div>
</div>

<style>
  .empty {
    display: flex;
    flex-direction: column;
    align-items: center;
    padding-top: var(--spacing-8);
    text-align: center;
  }
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
  p {
    max-width: 34rem;
    margin: var(--spacing-3) 0 var(--spacing-6);
  }
</style>
