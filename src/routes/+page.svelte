<script lang="ts">
  import { page } from '$app/state';
  import { formatFor } from '$lib/words/format';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import Shelf from '$lib/ui/jar/Shelf.svelte';
  import ThumbAction from '$lib/ui/jar/ThumbAction.svelte';
  import EmptyShelf from '$lib/ui/jar/EmptyShelf.svelte';
  import { isPressing } from '$lib/core';
  import { aheadOnBench, byUrgency } from '$lib/workbench/jars';
  import { clock } from '$lib/browser/clock.svelte';
  import { benchNow, ground, piecesUnderWay } from '$lib/browser/shelf';
  import BenchHoles from '$lib/ui/hole/BenchHoles.svelte';
  import BenchTrials from '$lib/ui/trial/BenchTrials.svelte';
  import Reminders from '$lib/ui/act/Reminders.svelte';
  import { tasksAhead } from '$lib/workbench/trials';
  import { remindersNear } from '$lib/workbench/reminders';
  import UnitsAsked from '$lib/ui/station/UnitsAsked.svelte';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';
  import { keptLine } from '$lib/words/verdict';

  let { data } = $props();
  const onBench = benchNow();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const bench = $derived(onBench());
  const views = $derived(bench.views);
  const dug = ground();
  const holes = $derived(dug());
  const made = piecesUnderWay();
  const pieces = $derived(made());
  const near = $derived(remindersNear(page.data.reminders, clock.now));
  /** Holes that are to be looked at stand on the ribbon too. */
  const holesAhead = $derived(
    holes.flatMap(({ hole, step }) =>
      step && 'dueAt' in step
        ? [{ id: hole.id, name: `${hole.code}: ${t.hole.short[step.kind]}`, dueAt: step.dueAt }]
        : []
    )
  );
  const piecesAhead = $derived(
    tasksAhead(pieces).map(({ trial, task }) => ({
      id: trial.id + task.key,
      name: `${trial.code}: ${t.trial.short[task.kind]}`,
      dueAt: task.dueAt
    }))
  );
  /** Jars that wait to be set down and have no time yet. */
  const unplanned = $derived(views.filter((v) => !v.run && v.jar.plannedAt === null).length);
  /** What can be done at once: what is called, else what waits for nobody. */
  const doable = $derived(
    bench.called ?? byUrgency(views).find(({ step }) => step.state !== 'waiting' && !isPressing(step))
  );
</script>

<h1 class="sr-only">{t.bench.title}</h1>
{#if !page.data.profile.chosen && page.data.person?.role !== 'reader'}<UnitsAsked />{/if}
{#each page.data.unreadable as row (row.name)}
  <p class="wrong" role="alert">{t.bench.unreadable(row.name, row.why)}</p>
{/each}
{#if views.length === 0}
  <EmptyShelf />
  <BenchHoles views={holes} now={clock.now} {format} />
  <BenchTrials views={pieces} now={clock.now} {format} />
  <Reminders reminders={near} now={clock.now} {format} />
{:else}
  <FirstTime page="bench" />
  <ThumbAction view={doable} {bench} />
  <Shelf {bench} now={clock.now} {format} />
  <Ribbon
    steps={aheadOnBench(views, clock.now)}
    now={clock.now}
    {format}
    headId={bench.head?.jar.id}
    chores={[...near, ...holesAhead, ...piecesAhead]}
  />
  <BenchHoles views={holes} now={clock.now} {format} />
  <BenchTrials views={pieces} now={clock.now} {format} />
  <Reminders reminders={near} now={clock.now} {format} />
  <p class="more flex flex-wrap items-center gap-y-3 gap-x-6 mt-4">
    <a class="btn btn-secondary" href="/set">{t.bench.another}</a>
    <a class="btn btn-secondary" href="/stands">{t.stands.link}</a>
    <a class="btn btn-secondary" href="/holes/new">{t.hole.one}</a>
    <a class="btn btn-secondary" href="/trials/new">{t.trial.one}</a>
    {#if unplanned > 1}<a class="btn btn-secondary" href="/plan/timetable">{t.bench.planThem(unplanned)}</a
      >{/if}
    <span class="faded small"
      >{t.bench.drawn}{#if views.some((v) => v.jar.cylinder)}{t.bench.drawnSmaller}{/if}</span
    >
  </p>
{/if}
{#if data.decided.length > 0}
  <section class="mt-6" aria-label={t.act.decided}>
    <h2 class="text-lg text-faded">{t.act.decided}</h2>
    <ul class="plain-list">
      {#each data.decided as one (one.id)}
        <li class="py-1">
          <a class="link" href="/act/kept/{one.id}">{one.code ?? t.act.ofTyped}</a>: {keptLine(one.kept)}
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  .more span {
    flex: 1 1 24rem;
    max-width: 46rem;
  }
</style>
