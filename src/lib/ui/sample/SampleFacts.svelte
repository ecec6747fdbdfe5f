<!-- @component What is on record of a sample, and where on the sketch it was taken. -->
<script lang="ts">
  import type { SiteDetail } from '$lib/contract/records/ground';
  import type { SampleRecord } from '$lib/contract/records/sample';
  import { sampleFacts } from '$lib/workbench/sample-facts';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import SketchSheet from '../ground/SketchSheet.svelte';

  type Props = { sample: SampleRecord; sites: SiteDetail[]; format: Format };
  let { sample, sites, format }: Props = $props();

  const site = $derived(sites.find((s) => s.areas.some((a) => a.id === sample.areaId)));
  const area = $derived(site?.areas.find((a) => a.id === sample.areaId));
  /** Its area alone, with the spots that are in it. */
  const sketch = $derived(
    site &&
      area && {
        ...site,
        areas: [{ ...area, spots: area.spots.filter((s) => sample.spotIds.includes(s.id)) }]
      }
  );
  const facts = $derived(sampleFacts(sample, site, format));
</script>

<div class="record" class:with-sketch={sketch}>
  {#if facts.length > 0}
    <dl class="max-w-reading">
      {#each facts as [name, value] (name)}<div
          class="grid grid-cols-[12rem_1fr] py-2 px-0 border-b border-hair max-sm:grid-cols-[1fr]"
        >
          <dt class="text-faded">{name}</dt>
          <dd>{value}</dd>
        </div>{/each}
    </dl>
  {:else}
    <p class="faded">{t.sample.empty}</p>
  {/if}
  {#if sketch}
    <a class="where" href="/plan/ground/{sketch.id}?area={sketch.areas[0].id}" aria-label={t.sample.onSketch}>
      <SketchSheet site={sketch} {format} tool="still" areaId={sketch.areas[0].id} />
    </a>
  {/if}
</div>

<style>
  .record.with-sketch {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 25rem;
    gap: var(--spacing-7);
    align-items: start;
  }
  .where {
    display: block;
    color: inherit;
  }
  @media (max-width: 900px) {
    .record.with-sketch {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
