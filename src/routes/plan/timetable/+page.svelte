<script lang="ts">
  import DataTable from '$lib/ui/kit/DataTable.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatDuration } from '$lib/core';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import MomentField from '$lib/ui/fields/MomentField.svelte';
  import { readMinuteOfDay, readMoment } from '$lib/ui/fields/time';
  import { formatFor } from '$lib/words/format';
  import { viewShelf } from '$lib/workbench/jars';
  import { quietOf, shutHours } from '$lib/workbench/hours';
  import { jobOf } from '$lib/workbench/jobs';
  import Lanes from '$lib/ui/plan/Lanes.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { PlanWork } from '$lib/browser/work';
  import { record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { withPending } from '$lib/workbench/pending';
  import { t } from '$lib/words';

  let { data } = $props();
  const DRAFT = 'timetable';
  const MINUTE = 60_000;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const views = $derived(viewShelf(withPending(data.jars, outbox.waiting), clock.now));
  const ready = $derived(views.filter((v) => !v.run && v.step.kind !== 'finish'));
  const standing = $derived(views.filter((v) => v.run && !v.jar.hasReading));

  let form = $state({
    left: [] as string[],
    pinned: {} as Record<string, number>,
    earliest: '',
    homeFrom: '',
    homeTo: ''
  });
  const forget = keepsDraft<typeof form>(
    DRAFT,
    (kept) => (form = { ...form, ...kept }),
    () => $state.snapshot(form)
  );

  /** The minute that is running: a plan must not change with every second. */
  const minute = $derived(Math.ceil(clock.now / MINUTE) * MINUTE);
  const typed = $derived({ from: readMinuteOfDay(form.homeFrom), to: readMinuteOfDay(form.homeTo) });
  const home = $derived(
    typed.from === undefined || typed.to === undefined ? undefined : { from: typed.from, to: typed.to }
  );
  const wanted = $derived(readMoment(form.earliest));
  const errors = $derived({
    homeFrom: form.homeFrom !== '' && typed.from === undefined ? t.profile.badTime : undefined,
    homeTo: form.homeTo !== '' && typed.to === undefined ? t.profile.badTime : undefined,
    earliest:
      form.earliest !== '' && wanted === undefined
        ? t.fields.badMoment
        : wanted !== undefined && wanted < minute - MINUTE
          ? t.timetable.past
          : undefined
  });
  const earliestAt = $derived(Math.max(minute, wanted ?? 0));
  const shut = $derived(shutHours({ quiet: quietOf(format.profile), home }, format.zone, earliestAt, 9));
  const chosen = $derived(ready.filter((v) => !form.left.includes(v.jar.id)));
  const pinOf = (id: string) => (form.pinned[id] >= minute ? form.pinned[id] : undefined);
  const jobs = $derived([
    ...standing.map((v) => jobOf(v, minute)),
    ...chosen.map((v) => jobOf(v, minute, pinOf(v.jar.id)))
  ]);

  const work = new PlanWork();
  $effect(() => {
    void work.ask($state.snapshot({ jobs, earliestAt, shut }));
  });
  const plan = $derived(work.answer);
  const lanes = $derived(
    [...chosen, ...standing]
      .filter((v) => plan && v.jar.id in plan.setDownAt)
      .map((v) => ({
        id: v.jar.id,
        code: v.jar.code,
        name: v.method.name,
        free: !v.run,
        pinned: pinOf(v.jar.id) !== undefined
      }))
  );
  const codes = $derived(new Map(views.map((v) => [v.jar.id, v.jar.code])));
  const kept = $derived(
    chosen.length > 0 &&
      plan !== undefined &&
      chosen.every((v) => v.jar.plannedAt === plan.setDownAt[v.jar.id])
  );
  const hasPlan = $derived(ready.some((v) => v.jar.plannedAt !== null));

  function include(id: string, on: boolean) {
    form.left = on ? form.left.filter((x) => x !== id) : [...form.left, id];
  }
  function unpin(id: string) {
    const { [id]: _, ...others } = form.pinned;
    form.pinned = others;
  }
  async function keep() {
    if (!plan) return;
    const jars = chosen.map((v) => ({ testId: v.jar.id, setDownAt: plan.setDownAt[v.jar.id] }));
    if (await record('bench.plan', { jars }, t.timetable.kept(jars.length))) {
      forget();
      await goto('/');
    }
  }
  async function drop() {
    const jars = ready
      .filter((v) => v.jar.plannedAt !== null)
      .map((v) => ({ testId: v.jar.id, setDownAt: null }));
    await record('bench.plan', { jars }, t.timetable.dropped);
  }

  /** How long a task takes, and until when it may be done. */
  function howLong(task: {
    startAt: number;
    endAt: number;
    windowFromAt: number;
    windowToAt: number;
  }): string {
    const long = formatDuration((task.endAt - task.startAt) / 1000);
    if (task.windowToAt <= task.windowFromAt) return long;
    return `${long}, ${t.timetable.until(format.when(task.windowToAt, clock.now))}`;
  }
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{t.timetable.title}</h1>
<p class="faded max-w-reading mb-5">{t.timetable.lead}</p>

{#if ready.length === 0}
  <p>{t.timetable.none}</p>
  <a class="btn btn-primary" href="/set">{t.bench.setJar}</a>
{:else}
  <div
    class="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-y-0 gap-x-8 items-start max-md:grid-cols-1 max-md:gap-5"
  >
    <fieldset class="border-0 p-0">
      <legend class="font-head text-lg font-[620] leading-[1.3]">{t.timetable.which}</legend>
      {#each ready as v (v.jar.id)}
        <label class="flex gap-4 items-center min-h-touch border-b border-hair cursor-pointer">
          <input
            class="checkbox"
            type="checkbox"
            checked={!form.left.includes(v.jar.id)}
            onchange={(e) => include(v.jar.id, e.currentTarget.checked)}
          />
          <span><b>{v.jar.code}</b> {v.jar.sample.name} <span class="faded">{v.method.name}</span></span>
        </label>
      {/each}
    </fieldset>
    <div class="when grid grid-cols-[1fr_1fr] gap-y-3 gap-x-5">
      <div class="col-span-full max-w-narrow">
        <Field label={t.timetable.earliest} hint={t.timetable.earliestHint} error={errors.earliest}>
          {#snippet children(entry)}
            <MomentField {entry} bind:value={form.earliest} />
          {/snippet}
        </Field>
      </div>
      <Field label={t.timetable.homeFrom} error={errors.homeFrom}>
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            bind:value={form.homeFrom}
            placeholder="08:00"
          />{/snippet}
      </Field>
      <Field label={t.timetable.homeTo} error={errors.homeTo}>
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            bind:value={form.homeTo}
            placeholder="18:00"
          />{/snippet}
      </Field>
      <p class="faded small col-span-full">
        {t.timetable.quiet(format.profile.quietFrom !== format.profile.quietTo)}
        <a class="link" href="/profile">{t.stations.profile}</a>
      </p>
    </div>
  </div>

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
      {lanes}
      {plan}
      {shut}
      fromAt={earliestAt}
      now={minute}
      {format}
      onmove={(id, at) => (form.pinned = { ...form.pinned, [id]: at })}
      onfree={unpin}
    />
    <p class="faded small">{t.timetable.dragHint}</p>
    <div class="row-of-actions mt-5 mb-6">
      {#if kept}<span>{t.timetable.isKept}</span>{:else}<button
          type="button"
          class="btn btn-primary"
          onclick={keep}>{t.timetable.keep}</button
        >{/if}
      {#if hasPlan}
        <a
          class="btn btn-secondary"
          href="/api/v1/plan.ics{home ? `?homeFrom=${home.from}&homeTo=${home.to}` : ''}"
          download="tivrel-plan.ics">{t.timetable.calendar}</a
        >
        <button type="button" class="btn btn-secondary" onclick={drop}>{t.timetable.drop}</button>
      {/if}
      {#if Object.keys(form.pinned).length > 0}
        <button type="button" class="btn btn-secondary" onclick={() => (form.pinned = {})}
          >{t.timetable.unpin}</button
        >
      {/if}
    </div>

    <h2>{t.timetable.inOrder}</h2>
    <DataTable
      rows={plan.tasks.filter((task) => task.endAt > minute)}
      key={(task) => task.jobId + task.kind + (task.layer ?? '') + task.askedAt}
      columns={[
        {
          id: 'when',
          class: 'whitespace-nowrap',
          strong: true,
          text: (task) => format.when(task.startAt, clock.now)
        },
        { id: 'jar', strong: true, text: (task) => codes.get(task.jobId) ?? '' },
        { id: 'task', text: (task) => t.timetable.task(task.kind, task.layer && t.layer[task.layer]) },
        { id: 'long', class: 'faded', text: howLong }
      ]}
    />
  {/if}
{/if}

<style>
  @media (max-width: 900px) {
    .when > :global(:first-child) {
      grid-column: 1 / -1;
    }
  }
</style>
