<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { formatFor } from '$lib/words/format';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { viewJar } from '$lib/workbench/jars';
  import { withWaiting } from '$lib/contract/waiting';
  import { readMoment } from '$lib/contract/read-moment';
  import { standingMarks } from '$lib/contract/reading';
  import { ReadingForm } from '$lib/ui/read/form.svelte';
  import { startTexts } from '$lib/workbench/entry/texts';
  import { answerTo } from '$lib/ui/read/answer.svelte';
  import HowRead from '$lib/ui/read/HowRead.svelte';
  import Calibrate from '$lib/ui/read/Calibrate.svelte';
  import MarksAndBands from '$lib/ui/read/MarksAndBands.svelte';
  import KeepReading from '$lib/ui/read/KeepReading.svelte';
  import ReadAnswer from '$lib/ui/read/ReadAnswer.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import RulerChoice from '$lib/ui/read/RulerChoice.svelte';
  import SharesTable from '$lib/ui/read/SharesTable.svelte';
  import WayChoice from '$lib/ui/read/WayChoice.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { readEarlier } from '$lib/ui/fields/time';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';
  import { troubleFacts } from '$lib/workbench/troubles';
  import Troubles from '$lib/ui/test/Troubles.svelte';

  let { data } = $props();
  /** With what waits in this browser: what the header says of this jar is said here too. */
  const test = $derived({ ...data.test, ...withWaiting('jar', [data.test], outbox.waiting)[0] });
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const view = $derived(viewJar(test, clock.now));
  /** The reading that was kept last, as long as nothing was changed in it. */
  const keptAt = $derived.by(() => {
    const last = test.readings.at(-1);
    return last && last.runId === test.run?.id && JSON.stringify(last.entry) === JSON.stringify(form.entry)
      ? last.at
      : undefined;
  });
  /** An estimate must not change with every second, ms. */
  const LOOK_MS = 15_000;
  /** When it was read, where that is told afterwards; by the wall. */
  let readWhen = $state<string>();
  const after = $derived(view.run?.stood === null ? view.run.setDownAt : undefined);
  const earlier = $derived<{ at?: number; error?: string }>(
    readWhen === undefined ? {} : readEarlier(readWhen, { now: clock.now, after })
  );
  /** When the reading is of: of one that was kept when it was made, else now. */
  const minute = $derived(
    readMoment(view.run, earlier.at ?? keptAt ?? Math.ceil(clock.now / LOOK_MS) * LOOK_MS)
  );

  const form = untrack(
    () =>
      new ReadingForm(startTexts(data.test, page.data.profile.length), {
        vessel: data.test.vessel,
        waterMm: data.test.waterMm
      })
  );
  let sumError = $state<string>();
  let by = $state<'ruler' | 'picture'>('ruler');

  const answer = answerTo(form, { test: () => test, run: () => view.run, minute: () => minute });
  const { worked, result, texture, named, doubts } = $derived(answer);
  /** Before the bench calls for it: a mark is still to come, or the layers are not due. */
  const early = $derived(view.step.state === 'waiting' ? view.step.dueAt : undefined);
  const about = $derived(
    [
      test.sample.name,
      test.method.name,
      view.run?.stood
        ? t.stands.about[view.run.stood]
        : view.run
          ? t.jar.setDownAt(format.when(view.run.setDownAt, clock.now))
          : t.jar.notSet
    ].join(' · ')
  );

  function fixLayers() {
    document.querySelector<HTMLInputElement>('.lines input')?.focus();
  }
</script>

<div
  class="read grid grid-cols-[minmax(0,1.12fr)_minmax(0,0.94fr)_minmax(0,1.05fr)] gap-y-0 gap-x-8 pt-5 items-start"
  class:picture={by === 'picture'}
>
  <div class="grid gap-3">
    <HowRead {test} {view} {form} bind:by photos={data.photos} bench={data.bench} {format} now={clock.now} />
  </div>

  <div class="middle">
    <h1>{test.code}</h1>
    <p class="faded">{about}</p>
    {#if early}
      <p class="small border-l-3 border-alarm pl-4 mt-3">{t.read.early(format.when(early, clock.now))}</p>
    {/if}
    {#if !form.figures}<FirstTime page="read" />{/if}
    <div class="mt-3"><WayChoice {form} /></div>
    {#if form.figures}
      <div class="mt-3"><SharesTable {form} /></div>
    {:else}
      <div class="how">
        <RulerChoice {form} />
      </div>
      <LineTable {form} {result} {format} />
      <SumCheck {form} {result} {format} error={sumError} onfixlayers={fixLayers} />
    {/if}
    <Calibrate {form} pairs={data.labPairs} method={test.method.name} />
    <MarksAndBands
      marks={standingMarks(view.run?.marks ?? [])}
      tops={form.tops}
      sigmaMm={form.sigmaMm}
      {format}
    />
    <Troubles facts={form.entry && troubleFacts(test, $state.snapshot(form.entry), minute)} {format} />
  </div>

  <ReadAnswer
    {form}
    {worked}
    answer={answer.answer}
    pending={answer.pending}
    helps={answer.helps}
    expected={answer.expected}
    problem={answer.problem}
    {doubts}
    {format}
  >
    {#if test.status === 'finished'}
      <a class="btn btn-secondary" href="/tests/{test.id}">{t.read.finished(test.code, named)}</a>
    {:else}
      <KeepReading {test} {form} {texture} {named} {earlier} bind:readWhen bind:sumError />
    {/if}
  </ReadAnswer>
</div>

<style>
  .read.picture {
    grid-template-columns: minmax(0, 1.6fr) minmax(0, 0.94fr) minmax(0, 1fr);
  }
  .how {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: var(--spacing-2);
    margin: var(--spacing-3) 0 var(--spacing-2);
    font-size: var(--text-sm);
  }
  .how :global(.choice-item) {
    padding: 0 var(--spacing-3);
  }
  @media (max-width: 1080px) {
    .read,
    .read.picture {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
  }
  @media (max-width: 900px) {
    .read,
    .read.picture {
      grid-template-columns: minmax(0, 1fr);
      gap: var(--spacing-5);
    }
  }
</style>
