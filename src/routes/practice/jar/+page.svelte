<script lang="ts">
  import { untrack } from 'svelte';
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { evenGL, formatDuration, jarOfSettings, momentOf, tapeCut, type PracticeJar } from '$lib/core';
  import { Latest } from '$lib/browser/latest.svelte';
  import { simulateWorker } from '$lib/browser/workers';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import FillJar from '$lib/ui/practice/FillJar.svelte';
  import HeightTime from '$lib/ui/practice/HeightTime.svelte';
  import JarStage from '$lib/ui/practice/JarStage.svelte';
  import PlayBar from '$lib/ui/practice/PlayBar.svelte';
  import { Playing } from '$lib/ui/practice/playing.svelte';
  import { settingsAddress, settingsFrom, vesselOf, type Practised } from '$lib/ui/practice/settings';
  import TapesTell from '$lib/ui/practice/TapesTell.svelte';
  import TapeTable from '$lib/ui/practice/TapeTable.svelte';
  import WaterProfile from '$lib/ui/practice/WaterProfile.svelte';
  import { outlineOf } from '$lib/ui/vessel/outline';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';
  import type { PlayedJar } from '$lib/workers/simulate.worker';

  const w = t.practice.jar;
  const GRAINS = 3000;
  const PICTURE = { width: 380, height: 150 };
  /** Height of the glass on the page, px. */
  const TALL_PX = 430;

  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let settings = $state.raw(untrack(() => settingsFrom(page.url.searchParams)));
  let playing = $state(untrack(() => page.url.searchParams.has('set')));
  const play = new Playing();
  const work = new Latest<PracticeJar, PlayedJar>((jar) =>
    simulateWorker().settle(jar, { grains: GRAINS, ...PICTURE })
  );
  const vessel = $derived(vesselOf(settings.vessel));
  const chosen = $derived(jarOfSettings(settings, vessel));
  const played = $derived(work.answer);
  const moment = $derived(played && momentOf(played.track, play.timeS));
  const scale = $derived(TALL_PX / (vessel.innerHeightMm + vessel.baseThicknessMm + 5));
  const outline = $derived(outlineOf(vessel, scale));
  let laid = $state.raw<number[]>([]);
  const tapes = $derived(played ? laid.map((timeS) => tapeCut(played.track, timeS)) : []);
  let revealed = $state(false);
  const told = $derived(settings.hidden === undefined || revealed);
  const mostGL = $derived(played ? evenGL(played.track) : 1);
  const goneBy = $derived(play.timeS < 1 ? w.notYet : w.gone(formatDuration(play.timeS)));

  /** What is told of what goes wrong with this jar. */
  const notes = $derived([
    ...settings.wrong.flatMap((key) => (key === 'early' ? [] : [w.told[key]])),
    ...(settings.shakenMin < 5 ? [w.told.crumbs] : [])
  ]);
  $effect(() => {
    play.holdsAtS = chosen.readAtS;
    if (playing) void work.ask(chosen.jar);
  });
  function keep(next: Practised, set: boolean) {
    settings = next;
    playing = set;
    replaceState(`${settingsAddress(next)}${set ? '&set=1' : ''}`, {});
  }
  function setDown() {
    laid = [];
    revealed = false;
    play.timeS = 0;
    keep(settings, true);
    play.running = true;
  }
  function empty() {
    play.running = false;
    play.timeS = 0;
    laid = [];
    keep({ ...settings, hidden: settings.hidden === undefined ? undefined : settings.hidden + 1 }, false);
  }
  function lay() {
    if (!laid.includes(play.timeS)) laid = [...laid, play.timeS].sort((a, b) => a - b);
  }
  const topLabel = $derived(moment ? w.alt(format.length(moment.topMm, 1), goneBy) : w.settling);
</script>

<BackLink href="/practice" label={t.practice.back} />
<h1 class="mt-1 mb-4">{w.title}</h1>
{#if !playing}
  <FillJar {settings} onchange={(next) => keep(next, false)} onset={setDown} />
{:else if !played || !moment}
  <p class="faded" role="status">{work.problem ?? w.settling}</p>
{:else}
  <div class="grid grid-cols-[auto_auto_minmax(0,1fr)] gap-x-5 gap-y-5 items-start max-md:grid-cols-1">
    <div class="max-md:overflow-x-auto">
      <JarStage
        track={played.track}
        grains={played.grains}
        {moment}
        {vessel}
        {scale}
        foam={settings.wrong.includes('foam')}
        {tapes}
        label={topLabel}
      />
    </div>
    <div class="max-md:order-last">
      <WaterProfile track={played.track} {moment} y={outline.y} height={outline.height} {mostGL} />
    </div>
    <div class="grid gap-4 content-start min-w-0">
      <p class="font-head text-3xl font-[660] leading-[1.1] tabular-nums">{goneBy}</p>
      <PlayBar {play} onlay={lay} />
      {#if chosen.readAtS !== undefined && play.timeS === chosen.readAtS}<p role="status">{w.stopped}</p>{/if}
      <HeightTime
        picture={played.picture}
        columns={PICTURE.width}
        rows={PICTURE.height}
        waterMm={played.track.jar.floorMm + played.track.jar.columnMm}
        timeS={play.timeS}
        {tapes}
      />
      {#each notes as note (note)}<p class="small max-w-reading">{note}</p>{/each}
    </div>
  </div>
  <section class="mt-5 grid gap-4" aria-label={w.tapes}>
    {#if tapes.length === 0}
      <p class="faded">{w.layHint}</p>
    {:else}
      <TapeTable {tapes} {told} ondrop={(tape) => (laid = laid.filter((s) => s !== tape.timeS))} />
      <TapesTell track={played.track} {tapes} dispersant={chosen.jar.dispersant} {told} />
    {/if}
    <div class="row-of-actions">
      {#if !told}
        <button type="button" class="btn btn-secondary" onclick={() => (revealed = true)}>{w.reveal}</button>
      {/if}
      <button type="button" class="btn btn-secondary" onclick={setDown}>{w.same}</button>
      <button type="button" class="btn btn-secondary" onclick={empty}>{w.another}</button>
    </div>
  </section>
{/if}
