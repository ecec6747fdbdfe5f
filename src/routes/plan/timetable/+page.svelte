<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { viewShelf } from '$lib/workbench/jars';
  import Lanes from '$lib/ui/plan/Lanes.svelte';
  import PlanInOrder from '$lib/ui/plan/PlanInOrder.svelte';
  import { planning } from '$lib/ui/plan/planning.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import TrialTasks from '$lib/ui/trial/TrialTasks.svelte';
  import WhenToSet from '$lib/ui/plan/WhenToSet.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { piecesUnderWay } from '$lib/browser/shelf';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';

  let { data } = $props();
  const MINUTE = 60_000;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const views = $derived(viewShelf(withWaiting('jar', data.jars, outbox.waiting), clock.now));
  const planned = planning(
    () => views,
    () => format
  );
  const { plan, chosen, minute } = $derived(planned.view);
  const made = piecesUnderWay();
  const codes = $derived(new Map(views.map((v) => [v.jar.id, v.jar.code])));
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{t.timetable.title}</h1>
<p class="faded max-w-reading mb-5">{t.timetable.lead}</p>

{#if planned.view.ready.length === 0}
  <p>{t.timetable.none}</p>
  <a class="btn btn-primary" href="/set">{t.bench.setJar}</a>
{:else}
  <WhenToSet ready={planned.view.ready} bind:form={planned.texts} errors={planned.view.errors} {format} />

  {#if plan && chosen.length > 0}
    <p class="mt-6 mb-2 text-lg" aria-live="polite">
      <strong>{t.timetable.over(format.when(plan.finishAt, clock.now))}</strong>
      {plan.finishAt - plan.boundAt < MINUTE
        ? t.timetable.best
        : t.timetable.near(formatDuration((plan.finishAt - plan.boundAt) / 1000))}
    </p>
    {#each plan.unmet as miss (miss.jobId + miss.kind + (miss.layer ?? ''))}
      <p class="border-l-3 border-alarm pl-4 my-2">
        {t.timetable.unmet(
          codes.get(miss.jobId) ?? '',
          t.timetable.task(miss.kind, miss.layer && t.layer[miss.layer]),
          t.timetable.why[miss.why]
        )}
      </p>
    {/each}
    <Lanes
      lanes={planned.view.lanes}
      {plan}
      shut={planned.view.shut}
      fromAt={planned.view.earliestAt}
      now={minute}
      {format}
      onmove={planned.pin}
      onfree={planned.unpin}
    />
    <p class="faded small">{t.timetable.dragHint}</p>
    <div class="row-of-actions mt-5 mb-6">
      {#if planned.view.kept}<span>{t.timetable.isKept}</span>{:else}<button
          type="button"
          class="btn btn-primary"
          onclick={planned.keep}>{t.timetable.keep}</button
        >{/if}
      {#if planned.view.hasPlan}
        <a
          class="btn btn-secondary"
          href="/api/v1/plan.ics{planned.view.home
            ? `?homeFrom=${planned.view.home.from}&homeTo=${planned.view.home.to}`
            : ''}"
          download="tivrel-plan.ics">{t.timetable.calendar}</a
        >
        <button type="button" class="btn btn-secondary" onclick={planned.drop}>{t.timetable.drop}</button>
      {/if}
      {#if Object.keys(planned.texts.pinned).length > 0}
        <button type="button" class="btn btn-secondary" onclick={planned.unpinAll}>{t.timetable.unpin}</button
        >
      {/if}
    </div>

    <PlanInOrder tasks={plan.tasks.filter((task) => task.endAt > minute)} {codes} {format} now={clock.now} />
  {/if}
{/if}
<div class="mt-6"><TrialTasks views={made()} now={clock.now} {format} /></div>
