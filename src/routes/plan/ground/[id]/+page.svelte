<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { areaOf, checkOutline, formatGround, RangeProblem, type Point } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import AreaPanel from '$lib/ui/ground/AreaPanel.svelte';
  import AreaWorkPanel from '$lib/ui/ground/AreaWork.svelte';
  import { areaForm, newWork, type AreaWork } from '$lib/ui/ground/form';
  import SiteTools from '$lib/ui/ground/SiteTools.svelte';
  import SketchSheet from '$lib/ui/ground/SketchSheet.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const site = $derived(data.site);
  const area = $derived(site.areas.find((a) => a.id === page.url.searchParams.get('area')));

  /** What is in hand: an area being drawn or written up; undefined while the sketch is only looked at. */
  let work = $state<AreaWork>();
  const forget = keepsDraft<AreaWork | null>(
    untrack(() => `ground:${data.site.id}`),
    (kept) => (work = kept ?? undefined),
    () => (work ? $state.snapshot(work) : null)
  );
  let placing = $state(false);
  let scaling = $state(false);
  let points = $state<Point[]>([]);
  /** An outline whose corner is off its kept place: on its way to the server, or not an area as it stands. */
  let moved = $state.raw<Point[]>();
  let movedProblem = $state('');
  $effect(() => {
    // What comes back from the server stands in place of what was dragged, unless that still has to be mended.
    void area?.outline;
    void area?.id;
    untrack(() => {
      if (!movedProblem) moved = undefined;
    });
  });

  const drawing = $derived(work !== undefined && !work.closed);
  const tool = $derived(drawing ? 'draw' : scaling ? 'scale' : placing && area ? 'spot' : 'look');
  const drawn = $derived(scaling ? points : work && !work.editing ? closedUp(work) : []);
  const nextSpot = $derived(area?.spots.find((s) => s.takenAt === null)?.id ?? null);

  function closedUp({ closed, form }: AreaWork): Point[] {
    return closed && form.outline.length > 0 ? [...form.outline, form.outline[0]] : form.outline;
  }
  function outlineProblem(outline: Point[]): string {
    try {
      checkOutline(outline);
      return '';
    } catch (problem) {
      if (problem instanceof RangeProblem) return problem.message;
      throw problem;
    }
  }

  function open(id: string | null) {
    placing = false;
    moved = undefined;
    movedProblem = '';
    const to = id ? `?area=${id}` : page.url.pathname;
    void goto(to, { keepFocus: true, noScroll: true });
  }
  function draw() {
    open(null);
    work = newWork();
  }
  function leave() {
    work = undefined;
    forget();
  }

  async function onpaper(place: Point) {
    if (work && !work.closed) work.form.outline = [...work.form.outline, place];
    else if (scaling) points = points.length < 2 ? [...points, place] : [place];
    else if (placing && area) {
      const [x, y] = place;
      await record('spot.add', { spotId: ulid(), areaId: area.id, place: [x, y] }, t.ground.spotAdded);
    }
  }
  function close() {
    if (work) work.closed = true;
  }

  function onkept(areaId: string) {
    leave();
    open(areaId);
  }

  async function oncorner(outline: Point[], done: boolean) {
    if (!area) return;
    moved = outline;
    movedProblem = outlineProblem(outline);
    if (!done || movedProblem) return;
    const { name, purpose, history, note } = area;
    const kept = outline.map(([x, y]): [number, number] => [x, y]);
    const payload = { areaId: area.id, name, purpose, history, note, outline: kept };
    if (!(await record('area.edit', payload, t.ground.outlineKept(name)))) moved = undefined;
  }

  async function onspot(spotId: string, [x, y]: Point) {
    await record('spot.move', { spotId, place: [x, y] }, t.ground.spotMoved);
  }

  function key(event: KeyboardEvent) {
    if (!drawing || !work || (event.target as HTMLElement).closest('input, textarea')) return;
    if (event.key === 'Escape') leave();
    else if (event.key === 'Backspace') work.form.outline = work.form.outline.slice(0, -1);
    else if (event.key === 'Enter' && work.form.outline.length > 2) close();
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={key} />

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
  <a class="link small" href="/plan?new">{t.ground.newSite}</a>
</div>

<div class="ground">
  <div class="min-w-0">
    <SketchSheet
      {site}
      {format}
      {tool}
      areaId={area?.id}
      {moved}
      wrong={movedProblem !== ''}
      {drawn}
      nextSpotId={nextSpot}
      {onpaper}
      onarea={open}
      onclose={close}
      {oncorner}
      {onspot}
    />
    {#if movedProblem}
      <p class="wrong" role="alert">
        {movedProblem}
        <button
          type="button"
          class="link"
          onclick={() => {
            movedProblem = '';
            moved = undefined;
          }}>{t.ground.asItWas}</button
        >
      </p>
    {/if}
    {#if !site.sketch.scaled && !scaling}
      <p class="wrong" role="status">{t.ground.notScaled}</p>
    {/if}
  </div>

  <div class="right min-w-0">
    {#if work}
      <AreaWorkPanel
        bind:work
        siteId={site.id}
        there={site.areas.map((a) => a.outline)}
        {format}
        {onkept}
        onleave={leave}
      />
    {:else if area}
      {#key area.id}
        <AreaPanel
          {site}
          {area}
          {format}
          now={clock.now}
          {placing}
          onplace={() => (placing = !placing)}
          onedit={() => (work = { ...newWork(), editing: area!.id, closed: true, form: areaForm(area!) })}
          onleave={() => open(null)}
        />
      {/key}
    {:else}
      <section aria-labelledby="areas-title">
        <h2 class="mb-2" id="areas-title">{t.ground.areas}</h2>
        <p class="faded">{site.areas.length === 0 ? t.ground.noAreas : t.ground.areasLead}</p>
        {#if site.areas.length > 0}
          <ul class="plain-list areas mt-3 mb-5">
            {#each site.areas as a (a.id)}
              <li>
                <button type="button" onclick={() => open(a.id)}>
                  <b class="tape">{a.code}</b>
                  <span class="font-semibold">{a.name}</span>
                  <span class="faded small">
                    {t.purpose[a.purpose]} · {formatGround(areaOf(a.outline), unit)} · {a.samples.length > 0
                      ? a.samples.map((s) => s.code).join(', ')
                      : a.spots.length > 0
                        ? t.ground.spotsTaken(
                            a.spots.filter((s) => s.takenAt !== null).length,
                            a.spots.length
                          )
                        : t.ground.noSpotsYet}
                  </span>
                </button>
              </li>
            {/each}
          </ul>
        {/if}
        <button
          type="button"
          class={site.areas.length === 0 ? 'btn btn-primary' : 'btn btn-secondary'}
          onclick={draw}
        >
          {t.ground.draw}
        </button>
      </section>
    {/if}
  </div>
  <div class="below">
    <SiteTools
      {site}
      {points}
      {scaling}
      onscale={(on) => {
        scaling = on;
        points = [];
        placing = false;
      }}
    />
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
  @media (max-width: 900px) {
    .ground {
      grid-template-columns: minmax(0, 1fr);
    }
    .below {
      margin-top: 0;
    }
  }
</style>
