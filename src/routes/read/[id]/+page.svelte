<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { lengthForField, methodByKey, roundShares, type LayerName } from '$lib/core';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { dropDraft, keepDraft, readDraft } from '$lib/ui/fields/draft';
  import { formatFor } from '$lib/ui/format';
  import { pictureOf, standingMarks, viewJar } from '$lib/ui/jar/view';
  import { blankTexts, ReadingForm, textsOf, type ReadingTexts } from '$lib/ui/read/form.svelte';
  import GlassReader from '$lib/ui/read/GlassReader.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import Outcome from '$lib/ui/read/Outcome.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import { ReadingWork } from '$lib/ui/read/work.svelte';
  import { offerUndo, problemText } from '$lib/ui/state/actions';
  import { clock } from '$lib/ui/state/clock.svelte';
  import { CommandRefused, send } from '$lib/ui/state/outbox.svelte';
  import { t } from '$lib/ui/strings';
  import Triangle from '$lib/ui/triangle/Triangle.svelte';

  let { data } = $props();
  const test = $derived(data.test);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const draftKey = untrack(() => `read:${data.test.id}`);
  const view = $derived(viewJar(test, clock.now));

  const form = untrack(() => new ReadingForm(startTexts(), page.data.profile.length, data.test.vessel));
  const work = new ReadingWork();
  let keptAs = $state(untrack(() => data.test.readings.at(-1)?.id));
  let keptText = $state('');
  let started = $state(false);
  let problem = $state('');
  let fields = $state<Record<string, string>>({});
  let busy = $state(false);

  const worked = $derived(form.reading ? work.answer : undefined);
  const result = $derived(worked?.result);
  /** Not kept yet, changed since, or taken back. */
  const unsaved = $derived(
    !test.readings.some((r) => r.id === keptAs) || JSON.stringify(form.entry) !== keptText
  );
  const early = $derived(
    view.step.kind !== 'finish' &&
      view.run &&
      clock.now < view.run.setDownAt + methodByKey(test.methodKey).end.fromS * 1000
  );
  const shares = $derived(
    result && roundShares([result.fractions.sand, result.fractions.silt, result.fractions.clay])
  );

  const about = $derived(
    [
      test.sample.name,
      methodByKey(test.methodKey).name,
      view.run ? t.jar.setDownAt(format.when(view.run.setDownAt, clock.now)) : t.jar.notSet
    ].join(' · ')
  );

  /** A reading starts from the last one kept, else from the heights of the timed marks. */
  function startTexts(): ReadingTexts {
    const unit = page.data.profile.length;
    const last = data.test.readings.at(-1);
    if (last && last.runId === data.test.run?.id) return textsOf(last.entry, unit);
    const blank = blankTexts(unit === 'in' ? 'sixteenths' : 'mm');
    for (const mark of standingMarks(data.test.run?.marks ?? [])) {
      if (mark.heightMm !== null) blank.lines[mark.layer] = lengthForField(mark.heightMm, unit);
    }
    return blank;
  }

  const expected = $derived.by(() => {
    const out: Partial<Record<LayerName, number>> = {};
    for (const layer of pictureOf(view, clock.now)?.layers ?? []) out[layer.layer] = layer.topMm;
    const top = Math.max(10, ...Object.values(out));
    // Each hangs a little over the one below, so that every strip can be taken hold of.
    return {
      gravel: 2,
      sand: out.sand ?? top * 0.5,
      silt: out.silt ?? top * 0.85,
      clay: Math.max(out.clay ?? 0, top)
    };
  });

  onMount(() => {
    keptText = keptAs ? JSON.stringify(form.entry) : '';
    const kept = readDraft<ReadingTexts>(draftKey);
    if (kept) form.texts = { ...form.texts, ...kept };
    started = true;
  });
  $effect(() => {
    const now = $state.snapshot(form.texts);
    if (started) keepDraft(draftKey, now);
  });
  $effect(() => {
    const reading = form.reading && $state.snapshot(form.reading);
    void work.ask(reading);
  });

  async function attempt(what: () => Promise<void>) {
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
    attempt(async () => {
      const entry = form.entry;
      if (!entry || form.problem) {
        problem = form.problem ?? '';
        return;
      }
      if (result?.sum && !result.sum.agrees && !entry.sumNote) {
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
    attempt(async () => {
      const sent = await send('test.finish', { testId: test.id, readingId: keptAs!, resultId: ulid() });
      started = false;
      dropDraft(draftKey);
      offerUndo(sent, t.read.finished(test.code, result?.class.name ?? ''));
      await goto(`/tests/${test.id}`);
    });

  function fixLayers() {
    document.querySelector<HTMLInputElement>('.lines input')?.focus();
  }
</script>

<div class="read">
  <div class="glass">
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
  </div>

  <div class="middle">
    <h1>{test.code}</h1>
    <p class="faded">{about}</p>
    {#if early && view.run}
      <p class="early small">
        {t.read.early(
          format.when(view.run.setDownAt + methodByKey(test.methodKey).end.fromS * 1000, clock.now)
        )}
      </p>
    {/if}
    <div class="how">
      <Choice
        label={t.read.ruler}
        hideLabel
        value={form.texts.ruler}
        onchange={(ruler) => form.setRuler(ruler)}
        options={(['mm', 'sixteenths', 'eye'] as const).map((value) => ({
          value,
          label: t.read.rulers[value]
        }))}
      />
      <Choice
        label={t.read.entry}
        hideLabel
        value={form.texts.mode}
        onchange={(mode) => form.setMode(mode)}
        options={(['heights', 'thicknesses'] as const).map((value) => ({ value, label: t.read[value] }))}
      />
    </div>
    <LineTable {form} {result} {format} />
    <SumCheck {form} {result} {format} error={fields.measuredTotal} onfixlayers={fixLayers} />
  </div>

  <div class="answer">
    <Triangle
      point={result?.fractions}
      classId={result?.class.id}
      probabilities={result && Object.fromEntries(result.classes.map((c) => [c.id, c.probability]))}
      region={worked?.region}
      label={result && shares
        ? t.result.triangle(result.class.name, shares[0], shares[1], shares[2])
        : t.result.triangleEmpty}
    />
    <div aria-live="polite">
      {#if result}
        <Outcome {result} sigmaMm={form.reading?.sigmaMm ?? 0.5} baseMm={form.offsetMm} {format} />
      {:else}
        <p class="faded">{t.result.pendingHint}</p>
      {/if}
    </div>
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
    {#if test.status === 'finished'}
      <a class="may" href="/tests/{test.id}">{t.read.finished(test.code, result?.class.name ?? '')}</a>
    {:else}
      <div class="row-of-actions keep">
        {#if unsaved}
          <button type="button" class="do" disabled={busy} onclick={keep}>{t.read.keep}</button>
        {:else}
          <button type="button" class="do" disabled={busy} onclick={finish}>{t.read.finish}</button>
          <span class="faded">{t.read.kept}</span>
        {/if}
      </div>
    {/if}
  </div>
</div>

<style>
  .read {
    display: grid;
    grid-template-columns: minmax(0, 1.12fr) minmax(0, 0.94fr) minmax(0, 1.05fr);
    gap: 0 2.6rem;
    padding-top: 1rem;
    align-items: start;
  }
  .glass {
    display: grid;
    gap: 0.5rem;
  }
  .early {
    border-left: 4px solid var(--alarm);
    padding-left: 0.8rem;
    margin-top: 0.6rem;
  }
  .how {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0.4rem;
    margin: 0.7rem 0 0.4rem;
    font-size: 0.92rem;
  }
  .how :global(.choice-item) {
    padding: 0 0.6rem;
  }
  .answer {
    display: grid;
    gap: 0.7rem;
  }
  .keep {
    margin-top: 0.3rem;
  }
  @media (max-width: 1080px) {
    .read {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    }
    .answer {
      grid-column: 1 / -1;
      max-width: 34rem;
    }
  }
  @media (max-width: 700px) {
    .read {
      grid-template-columns: minmax(0, 1fr);
      gap: 1.2rem;
    }
    .keep {
      position: sticky;
      bottom: 0;
      background: var(--paper);
      padding: 0.6rem 0;
    }
    .keep .do {
      width: 100%;
      min-height: 56px;
    }
  }
</style>
