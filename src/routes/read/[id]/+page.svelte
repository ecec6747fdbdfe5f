<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { isShare } from '$lib/core';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { expectedLines, viewJar } from '$lib/workbench/jars';
  import { standingMarks, toMassInput } from '$lib/contract/reading';
  import { doubtsOf } from '$lib/workbench/doubts';
  import { markedLines } from '$lib/workbench/marks';
  import { ReadingForm } from '$lib/ui/read/form.svelte';
  import { startTexts } from '$lib/ui/read/texts';
  import Calibrate from '$lib/ui/read/Calibrate.svelte';
  import GlassReader from '$lib/ui/read/GlassReader.svelte';
  import MarksAndBands from '$lib/ui/read/MarksAndBands.svelte';
  import MassAssumed from '$lib/ui/read/MassAssumed.svelte';
  import KeepReading from '$lib/ui/read/KeepReading.svelte';
  import ReadAnswer from '$lib/ui/read/ReadAnswer.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import RulerChoice from '$lib/ui/read/RulerChoice.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import { MassWork, ReadingWork } from '$lib/browser/work';
  import { clock } from '$lib/browser/clock.svelte';
  import { say } from '$lib/browser/toasts';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';
  import { troubleFacts } from '$lib/workbench/troubles';
  import Troubles from '$lib/ui/test/Troubles.svelte';

  let { data } = $props();
  const test = $derived(data.test);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const view = $derived(viewJar(test, clock.now));
  /** When a reading made now would be of: the minute, for an estimate must not change with every second. */
  const minute = $derived(Math.floor(clock.now / 60_000) * 60_000);

  const form = untrack(
    () =>
      new ReadingForm(startTexts(data.test, page.data.profile.length), {
        unit: page.data.profile.length,
        temperature: page.data.profile.temperature,
        vessel: data.test.vessel,
        waterMm: data.test.waterMm,
        measured: markedLines(data.test.run)
      })
  );
  const work = new ReadingWork();
  let sumError = $state<string>();
  let by = $state<'ruler' | 'picture'>('ruler');

  const worked = $derived(form.reading ? work.answer : undefined);
  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);
  /** The result in a few words. */
  const named = $derived(
    result && isShare(result)
      ? t.read.share(t.layer[result.layer], t.common.percent(Math.round(result.pct)))
      : (texture?.class.name ?? '')
  );
  /** Before the bench calls for it: a mark is still to come, or the layers are not due. */
  const early = $derived(view.step.state === 'waiting' ? view.step.dueAt : undefined);
  const doubts = $derived(
    result && form.entry ? doubtsOf(test, view.run, $state.snapshot(form.entry), result, minute) : []
  );
  /** The same layers weighed, as far as they can be. */
  const massWork = new MassWork();
  const massInput = $derived(
    texture && form.entry?.water ? toMassInput(test, view.run, form.entry, minute) : undefined
  );
  $effect(() => {
    void massWork.ask(massInput && ($state.snapshot(massInput) as typeof massInput));
  });
  const weighed = $derived(texture && massInput ? massWork.answer : undefined);
  const about = $derived(
    [
      test.sample.name,
      test.method.name,
      view.run ? t.jar.setDownAt(format.when(view.run.setDownAt, clock.now)) : t.jar.notSet
    ].join(' · ')
  );

  const expected = $derived(expectedLines(view, clock.now));
  $effect(() => {
    const reading = form.reading && $state.snapshot(form.reading);
    void work.ask(reading);
  });

  function fixLayers() {
    document.querySelector<HTMLInputElement>('.lines input')?.focus();
  }
</script>

<div
  class="read grid grid-cols-[minmax(0,1.12fr)_minmax(0,0.94fr)_minmax(0,1.05fr)] gap-y-0 gap-x-8 pt-5 items-start"
  class:picture={by === 'picture'}
>
  <div class="grid gap-3">
    <Choice
      label={t.picture.by}
      hideLabel
      bind:value={by}
      options={(['ruler', 'picture'] as const).map((value) => ({ value, label: t.picture.bys[value] }))}
    />
    {#if by === 'picture'}
      {#await import('$lib/ui/read/PhotoReader.svelte') then { default: PhotoReader }}
        <PhotoReader
          {form}
          vessel={test.vessel}
          waterMm={test.waterMm}
          testId={test.id}
          photos={data.photos}
          bench={data.bench}
          expected={view.run && view.run.stood === null ? expected : undefined}
          {format}
          ontaken={() => {
            by = 'ruler';
            say(t.picture.taken);
          }}
        />
      {/await}
    {:else}
      <GlassReader {form} vessel={test.vessel} waterMm={test.waterMm} {expected} />
      <Choice
        label={t.read.zero}
        value={form.texts.zero}
        onchange={(zero) => form.setZero(zero)}
        options={(['inside', 'table'] as const).map((value) => ({ value, label: t.read.zeros[value] }))}
      />
      <p class="faded small">
        {t.read.zeroNotes[form.texts.zero](format.length(test.vessel.baseThicknessMm, 1))}
      </p>
    {/if}
  </div>

  <div class="middle">
    <h1>{test.code}</h1>
    <p class="faded">{about}</p>
    {#if early}
      <p class="small border-l-3 border-alarm pl-4 mt-3">{t.read.early(format.when(early, clock.now))}</p>
    {/if}
    <FirstTime of="read" />
    <div class="how">
      <RulerChoice {form} />
    </div>
    <LineTable {form} {result} {format} />
    <SumCheck {form} {result} {format} error={sumError} onfixlayers={fixLayers} />
    <MassAssumed {form} tempC={test.tempC} {format} />
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
    {weighed}
    massProblem={massInput && massWork.problem}
    {doubts}
    massLarge={page.data.profile.headline === 'mass'}
    {format}
  >
    {#if test.status === 'finished'}
      <a class="btn btn-secondary" href="/tests/{test.id}">{t.read.finished(test.code, named)}</a>
    {:else}
      <KeepReading {test} {form} {texture} {named} bind:sumError />
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
