<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatFor } from '$lib/words/format';
  import AreaList from '$lib/ui/ground/AreaList.svelte';
  import AreaPanel from '$lib/ui/ground/AreaPanel.svelte';
  import AreaWorkPanel from '$lib/ui/ground/AreaWork.svelte';
  import SiteTools from '$lib/ui/ground/SiteTools.svelte';
  import { sketching } from '$lib/ui/ground/sketching.svelte';
  import SketchSheet from '$lib/ui/ground/SketchSheet.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const site = $derived(data.site);
  const area = $derived(site.areas.find((a) => a.id === page.url.searchParams.get('area')));
  const sketch = sketching(
    () => site,
    () => area
  );
</script>

<svelte:window onkeydown={sketch.key} />

<PlanNav />
<div class="head">
  <h1>{site.name}</h1>
  {#if data.sites.length > 1}
    <select
      class="select w-auto"
      aria-label={t.ground.otherSite}
      value={site.id}
      onchange={(e) => goto(`/plan/ground/${e.currentTarget.value}`)}
    >
      {#each data.sites as s (s.id)}<option value={s.id}>{s.name}</option>{/each}
    </select>
  {/if}
  <a class="link small" href="/reports/site/{site.id}">{t.report.link}</a>
  <a class="link small" href="/plan?new">{t.ground.newSite}</a>
</div>

<div class="ground">
  <div class="min-w-0">
    <SketchSheet
      {site}
      {format}
      tool={sketch.view.tool}
      areaId={area?.id}
      moved={sketch.view.moved}
      wrong={sketch.view.movedProblem !== ''}
      drawn={sketch.view.drawn}
      nextSpotId={area?.spots.find((s) => s.takenAt === null)?.id}
      onpaper={sketch.onpaper}
      onarea={sketch.open}
      onclose={sketch.close}
      oncorner={sketch.oncorner}
      onspot={sketch.onspot}
    />
    {#if sketch.view.movedProblem}
      <p class="wrong" role="alert">
        {sketch.view.movedProblem}
        <button type="button" class="link" onclick={sketch.putBack}>{t.ground.asItWas}</button>
      </p>
    {/if}
    {#if !site.sketch.scaled && !sketch.view.scaling}
      <p class="wrong" role="status">{t.ground.notScaled}</p>
    {/if}
  </div>

  <div class="right min-w-0">
    {#if sketch.work}
      <AreaWorkPanel
        bind:work={sketch.work}
        siteId={site.id}
        area={site.areas.find((a) => a.id === sketch.work?.editing)}
        there={site.areas.map((a) => a.outline)}
        {format}
        onkept={sketch.onkept}
        onleave={sketch.leave}
      />
    {:else if area}
      {#key area.id}
        <AreaPanel
          {site}
          {area}
          holes={data.beds.holes.filter((h) => h.areaId === area.id)}
          amendments={data.beds.amendments.filter((a) => a.areaId === area.id)}
          {format}
          now={clock.now}
          placing={sketch.view.placing}
          onplace={sketch.place}
          onedit={sketch.edit}
          onleave={() => sketch.open(null)}
        />
      {/key}
    {:else}
      <AreaList {site} {unit} onarea={sketch.open} ondraw={sketch.draw} />
    {/if}
  </div>
  <div class="below">
    <SiteTools {site} points={sketch.view.points} scaling={sketch.view.scaling} onscale={sketch.scale} />
  </div>
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: var(--spacing-2) var(--spacing-6);
    margin: var(--spacing-3) 0 var(--spacing-4);
  }
  .ground {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 23.5rem;
    grid-template-rows: auto 1fr;
    gap: var(--spacing-7);
    align-items: start;
  }
  .right {
    grid-row: span 2;
  }
  .below {
    margin-top: calc(-1 * var(--spacing-7));
  }
  @media (max-width: 900px) {
    .ground {
      grid-template-columns: minmax(0, 1fr);
    }
    .below {
      margin-top: 0;
    }
  }
</style>
