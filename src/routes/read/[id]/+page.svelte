<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto, replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import { isShare, lengthForField, roundShares, type LineName } from '$lib/core';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { dropDraft, keepDraft, readDraft } from '$lib/ui/fields/draft';
  import { formatFor } from '$lib/words/format';
  import { pictureOf, viewJar } from '$lib/workbench/jars';
  import { standingMarks, toMassInput } from '$lib/contract/reading';
  import { doubtsOf } from '$lib/workbench/doubts';
  import { markedLines } from '$lib/workbench/marks';
  import { ReadingForm } from '$lib/ui/read/form.svelte';
  import { blankTexts, textsOf, type ReadingTexts } from '$lib/ui/read/texts';
  import Calibrate from '$lib/ui/read/Calibrate.svelte';
  import GlassReader from '$lib/ui/read/GlassReader.svelte';
  import MarksAndBands from '$lib/ui/read/MarksAndBands.svelte';
  import MassAssumed from '$lib/ui/read/MassAssumed.svelte';
  import MassOutcome from '$lib/ui/read/MassOutcome.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import Outcome from '$lib/ui/read/Outcome.svelte';
  import ShareOutcome from '$lib/ui/read/ShareOutcome.svelte';
  import RulerChoice from '$lib/ui/read/RulerChoice.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import WaterNote from '$lib/ui/read/WaterNote.svelte';
  import { MassWork, ReadingWork } from '$lib/browser/work';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import { say } from '$lib/browser/toasts';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';
  import { troubleFacts } from '$lib/workbench/troubles';
  import Troubles from '$lib/ui/test/Troubles.svelte';
  import Triangle from '$lib/ui/triangle/Triangle.svelte';

  let { data } = $props();
  const test = $derived(data.test);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const draftKey = untrack(() => `read:${data.test.id}`);
  const view = $derived(viewJar(test, clock.now));
  /** When a reading made now would be of: the minute, for an estimate must not change with every second. */
  const minute = $derived(Math.floor(clock.now / 60_000) * 60_000);

  const form = untrack(
    () =>
      new ReadingForm(startTexts(), {
        unit: page.data.profile.length,
        temperature: page.data.profile.temperature,
        vessel: data.test.vessel,
        waterMm: data.test.waterMm,
        measured: markedLines(data.test.run)
      })
  );
  const work = new ReadingWork();
  let keptAs = $state(untrack(() => data.test.readings.at(-1)?.id));
  let keptText = $state('');
  let started = $state(false);
  let problem = $state('');
  let fields = $state<Record<string, string>>({});
  let busy = $state(false);
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
  /** Not kept yet, changed since, or taken back. */
  const unsaved = $derived(
    !test.readings.some((r) => r.id === keptAs) || JSON.stringify(form.entry) !== keptText
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
  const byMass = $derived(weighed !== undefined && page.data.profile.headline === 'mass');
  const main = $derived(byMass && weighed ? weighed.estimate : texture);
  const shares = $derived(
    main && roundShares([main.fractions.sand, main.fractions.silt, main.fractions.clay])
  );

  const about = $derived(
    [
      test.sample.name,
      test.method.name,
      view.run ? t.jar.setDownAt(format.when(view.run.setDownAt, clock.now)) : t.jar.notSet
    ].join(' · ')
  );

  /** A reading starts from the last one kept, else from the heights of the timed marks. */
  function startTexts(): ReadingTexts {
    const unit = page.data.profile.length;
    const last = data.test.readings.at(-1);
    if (last && last.runId === data.test.run?.id) return textsOf(last.entry, unit, data.test.vessel);
    const cylinder = data.test.vessel.kind === 'cylinder' && data.test.method.fill.soilMl !== undefined;
    const marked = (data.test.run?.marks ?? []).some((m) => m.heightMm !== null);
    // A graduated cylinder is read by its graduations, unless tape was measured with a ruler.
    if (cylinder && !marked) return blankTexts('mL');
    const blank = blankTexts(unit === 'in' ? 'sixteenths' : 'mm');
    for (const mark of standingMarks(data.test.run?.marks ?? [])) {
      if (mark.heightMm !== null) blank.lines[mark.layer] = lengthForField(mark.heightMm, unit);
    }
    return blank;
  }

  const expected = $derived.by(() => {
    const out: Partial<Record<LineName, number>> = {};
    for (const layer of pictureOf(view, clock.now)?.layers ?? []) out[layer.layer] = layer.topMm;
    const top = Math.max(10, ...Object.values(out));
    // Each hangs a little over the one below, so that every strip can be taken hold of.
    const sand = out.sand ?? top * 0.5;
    const clay = Math.max(out.clay ?? 0, top);
    return {
      gravel: 2,
      coarse: sand * 0.4,
      sand,
      silt: out.silt ?? top * 0.85,
      clay,
      skin: clay + 2,
      surface: test.waterMm
    };
  });

  onMount(() => {
    keptText = keptAs ? JSON.stringify(form.entry) : '';
    const kept = readDraft<Partial<ReadingTexts>>(draftKey);
    if (kept) form.takeDraft(kept);
    const { measured } = page.state;
    if (measured) {
      // Heights that the film's page hands over: its own to be read in millimetres, where graduations were read before.
      if (form.texts.ruler === 'mL') form.setRuler('mm');
      form.takeLines(measured);
      // Taken once: a way back to this page must not undo what was changed since.
      replaceState('', {});
    }
    started = true;
  });
  $effect(() => {
    const now = { ...$state.snapshot(form.texts), unit: form.unit };
    if (started) keepDraft(draftKey, now);
  });
  $effect(() => {
    const reading = form.reading && $state.snapshot(form.reading);
    void work.ask(reading);
  });

  async function whileBusy(what: () => Promise<void>) {
    busy = true;
    problem = '';
    fields = {};
    try {
      await what();
    } catch (failed) {
      problem = problemText(failed);
      if (failed instanceof CommandRefused) fields = failed.fields;
    } finally {
      busy = false;
    }
  }

  const keep = () =>
    whileBusy(async () => {
      const entry = form.entry;
      if (!entry || form.problem) {
        problem = form.problem ?? '';
        return;
      }
      if (texture?.sum && !texture.sum.agrees && !entry.sumNote) {
        fields = { measuredTotal: t.read.sumNoteNeeded };
        return;
      }
      const readingId = ulid();
      const sent = await send('jar.read', { testId: test.id, readingId, entry });
      keptAs = readingId;
      keptText = JSON.stringify(entry);
      dropDraft(draftKey);
      offerUndo(sent, t.read.kept);
    });

  const finish = () =>
    whileBusy(async () => {
      const sent = await send('test.finish', { testId: test.id, readingId: keptAs!, resultId: ulid() });
      started = false;
      dropDraft(draftKey);
      offerUndo(sent, t.read.finished(test.code, named));
      await goto(`/tests/${test.id}`);
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
    <SumCheck {form} {result} {format} error={fields.measuredTotal} onfixlayers={fixLayers} />
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

  <div class="answer max-lg:col-span-full max-lg:max-w-[34rem]">
    <Triangle
      point={main?.fractions}
      classId={main?.class.id}
      probabilities={main && Object.fromEntries(main.classes.map((c) => [c.id, c.probability]))}
      region={byMass ? weighed?.region : worked?.region}
      other={texture && weighed
        ? byMass
          ? { point: texture.fractions, region: worked?.region }
          : { point: weighed.estimate.fractions, region: weighed.region }
        : undefined}
      label={main && shares
        ? t.result.triangle(main.class.name, shares[0], shares[1], shares[2])
        : t.result.triangleEmpty}
    />
    <div aria-live="polite">
      {#if result && isShare(result)}
        <ShareOutcome {result} {format} />
      {:else if texture}
        <div class="water mb-4" class:asked={form.texts.water === ''}>
          {#if form.texts.water === ''}<p>{t.mass.askWater}</p>{/if}
          <WaterNote bind:value={form.texts.water} />
        </div>
        {#if weighed && byMass}<MassOutcome estimate={weighed.estimate} read={texture} {format} large />{/if}
        <Outcome
          result={texture}
          sigmaMm={form.sigmaMm}
          baseMm={form.offsetMm}
          {doubts}
          {format}
          small={byMass}
        />
        {#if weighed && !byMass}<MassOutcome estimate={weighed.estimate} read={texture} {format} />{/if}
        {#if massInput && massWork.problem}<p class="faded small">{t.mass.cannot(massWork.problem)}</p>{/if}
      {:else}
        <p class="faded">{t.result.pendingHint}</p>
      {/if}
    </div>
    {#if test.status === 'finished'}
      <a class="btn btn-secondary" href="/tests/{test.id}">{t.read.finished(test.code, named)}</a>
    {:else}
      <div class="row-of-actions keep">
        {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
        {#if unsaved}
          <button
            type="button"
            class="btn btn-primary max-md:w-full max-md:min-h-[56px]"
            disabled={busy}
            onclick={keep}>{t.read.keep}</button
          >
        {:else}
          <button
            type="button"
            class="btn btn-primary max-md:w-full max-md:min-h-[56px]"
            disabled={busy}
            onclick={finish}>{t.read.finish}</button
          >
          <span class="faded">{t.read.kept}</span>
        {/if}
      </div>
    {/if}
  </div>
</div>

<style>
  .read.picture {
    grid-template-columns: minmax(0, 1.6fr) minmax(0, 0.94fr) minmax(0, 1fr);
  }
  .water.asked {
    border-left: var(--line-heavy) solid var(--pen);
    padding-left: var(--spacing-4);
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
  .answer {
    display: flex;
    flex-direction: column;
    gap: var(--spacing-3);
    /* Down to the foot of the window: what is to be pressed keeps its place while answers come and go above it. */
    min-height: min(calc(100dvh - 112px), 46rem);
  }
  .keep {
    z-index: 2;
    position: sticky;
    bottom: var(--foot);
    margin-top: auto;
    padding: var(--spacing-3) 0 var(--spacing-4);
    background: var(--paper);
    border-top: var(--line) solid var(--hair);
  }
  .keep p {
    flex-basis: 100%;
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
    .answer {
      min-height: 0;
    }
  }
</style>
