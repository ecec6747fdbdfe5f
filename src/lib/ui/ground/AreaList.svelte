<!-- @component The areas of a site, each with what is known of it; and drawing another. -->
<script lang="ts">
  import { areaOf, formatGround, type LengthUnit } from '$lib/core';
  import type { SiteDetail } from '$lib/contract/records/ground';
  import { t } from '$lib/words';

  type Props = {
    site: SiteDetail;
    unit: LengthUnit;
    onarea: (areaId: string) => void;
    ondraw: () => void;
  };
  let { site, unit, onarea, ondraw }: Props = $props();

  type Area = SiteDetail['areas'][number];
  /** Its samples, or how far the walk over its spots has come. */
  function stateOf({ samples, spots }: Area): string {
    if (samples.length > 0) return samples.map((s) => s.code).join(', ');
    if (spots.length === 0) return t.ground.noSpotsYet;
    return t.ground.spotsTaken(spots.filter((s) => s.takenAt !== null).length, spots.length);
  }
</script>

<section aria-labelledby="areas-title">
  <h2 class="mb-2" id="areas-title">{t.ground.areas}</h2>
  <p class="faded">{site.areas.length === 0 ? t.ground.noAreas : t.ground.areasLead}</p>
  {#if site.areas.length > 0}
    <ul class="plain-list areas mt-3 mb-5">
      {#each site.areas as a (a.id)}
        <li>
          <button type="button" onclick={() => onarea(a.id)}>
            <b class="tape">{a.code}</b>
            <span class="font-semibold">{a.name}</span>
            <span class="faded small">
              {t.purpose[a.purpose]} · {formatGround(areaOf(a.outline), unit)} · {stateOf(a)}
            </span>
          </button>
        </li>
      {/each}
    </ul>
  {/if}
  <button
    type="button"
    class={site.areas.length === 0 ? 'btn btn-primary' : 'btn btn-secondary'}
    onclick={ondraw}
  >
    {t.ground.draw}
  </button>
</section>

<style>
  .areas button {
    display: grid;
    grid-template-columns: 2.9rem 1fr;
    gap: 0 var(--spacing-3);
    width: 100%;
    min-height: 52px;
    padding: var(--spacing-2) 0;
    border: 0;
    border-bottom: var(--line) solid var(--hair);
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    align-items: center;
    cursor: pointer;
  }
  .areas button:hover {
    background: var(--sheet);
  }
  .tape {
    grid-row: 1 / 3;
    padding: var(--spacing-1) 0;
    text-align: center;
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
    font-family: var(--face-head);
    transform: rotate(-2deg);
  }
</style>
