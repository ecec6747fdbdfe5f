<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import { gravellyName, gravelVolumePct } from '$lib/core';
  import { commandForm } from '$lib/ui/fields/command-form.svelte';
  import { dropDraft, keepDraft, readDraft } from '$lib/ui/fields/draft';
  import { formatFor } from '$lib/words/format';
  import SketchSheet from '$lib/ui/ground/SketchSheet.svelte';
  import Photos from '$lib/ui/photos/Photos.svelte';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { formOf, readSampleForm, type SampleForm } from '$lib/ui/sample/form';
  import LabReports from '$lib/ui/sample/LabReports.svelte';
  import SampleFields from '$lib/ui/sample/SampleFields.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { replicateText } from '$lib/words/replicates';
  import { t } from '$lib/words';
  import { replicatesOf } from '$lib/workbench/replicates';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const sample = $derived(data.sample);
  const areas = $derived(data.sites.flatMap((s) => s.areas.map((a) => ({ ...a, siteName: s.name }))));
  const area = $derived(areas.find((a) => a.id === sample.areaId));
  const site = $derived(data.sites.find((s) => s.id === area?.siteId));
  /** Its area alone, with the spots that are in it. */
  const sketch = $derived(
    site &&
      area && {
        ...site,
        areas: [{ ...area, spots: area.spots.filter((s) => sample.spotIds.includes(s.id)) }]
      }
  );
  const draftKey = untrack(() => `sample:${data.sample.id}`);

  let form = $state<SampleForm>(untrack(() => formOf(data.sample, unit)));
  let editing = $state(false);
  const read = $derived(readSampleForm(form, unit));
  const sampleForm = commandForm({
    id: 'sample',
    texts: () => form,
    read: ({ name, purpose, note, areaId, spotIds }) => ({
      errors: read.errors,
      payload: {
        sampleId: sample.id,
        name,
        purpose,
        note,
        areaId: areaId || null,
        spotIds,
        details: read.details
      }
    }),
    names: {
      'details.takenOn': 'takenOn',
      'details.depthTo': 'depthTo',
      'details.sieve': 'sieve',
      'details.driedH': 'dried',
      'details.gravel.amount': 'gravel',
      'details.gravel.whole': 'gravelWhole'
    },
    keep: async (payload) => {
      const sent = await send('sample.edit', payload);
      leave();
      offerUndo(sent, t.sample.kept(sample.code));
    }
  });
  const errors = $derived({ ...sampleForm.errors, ...read.errors });

  onMount(() => {
    const kept = readDraft<SampleForm>(draftKey);
    if (!kept) return;
    form = { ...form, ...kept };
    editing = true;
  });
  $effect(() => {
    const now = $state.snapshot(form);
    if (editing) keepDraft(draftKey, now);
  });

  function gravelText({ amount, unit: of, whole }: NonNullable<typeof sample.details.gravel>): string {
    if (!whole) return `${amount} ${of}`;
    const pct = gravelVolumePct({ amount, whole, unit: of });
    return t.sample.gravelShare(
      `${amount} ${of}`,
      `${whole} ${of}`,
      Math.round(pct),
      gravellyName('', pct).trim()
    );
  }
  const facts = $derived.by(() => {
    const d = sample.details;
    const w = t.sample.fields;
    const depth = [d.depthFrom, d.depthTo].filter((l) => l !== undefined).map((l) => format.length(l.mm));
    const nos = area?.spots.filter((s) => sample.spotIds.includes(s.id)).map((s) => s.no) ?? [];
    return [
      [w.area, area && `${area.name}, ${area.siteName}`],
      [w.spots, nos.join(', ')],
      [w.takenOn, d.takenOn && format.dayOf(d.takenOn)],
      [w.depth, depth.join(' – ')],
      [w.dried, d.driedH === undefined ? '' : t.sample.hours(d.driedH)],
      [w.sieve, d.sieve && format.length(d.sieve.mm, 1)],
      [w.gravel, d.gravel && gravelText(d.gravel)],
      [w.takenOut, d.takenOut],
      [w.look, d.look],
      [w.note, sample.note]
    ].filter((fact): fact is [string, string] => Boolean(fact[1]));
  });

  function edit() {
    form = formOf(sample, unit);
    editing = true;
  }
  function leave() {
    editing = false;
    dropDraft(draftKey);
    sampleForm.clear();
  }
</script>

<div class="mt-6 mb-5">
  <h1><span class="code">{sample.code}</span> {sample.name}</h1>
  <p class="faded">{t.purpose[sample.purpose]} · {t.sample.taken(format.day(sample.createdAt))}</p>
</div>

{#if editing}
  <form class="max-w-[54rem]" use:sampleForm.enhance method="POST" novalidate>
    <SampleFields bind:form {errors} {unit} {areas} today={format.isoDay(clock.now)} />
    {#if sampleForm.errors['']}<p class="wrong" role="alert">{sampleForm.errors['']}</p>{/if}
    <div class="row-of-actions mt-5 mb-7">
      <button class="btn btn-primary">{t.sample.keep}</button>
      <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
    </div>
  </form>
{:else}
  <div class="record" class:with-sketch={sketch}>
    {#if facts.length > 0}
      <dl class="max-w-reading">
        {#each facts as [name, value] (name)}<div
            class="grid grid-cols-[12rem_1fr] py-2 px-0 border-b border-hair max-sm:grid-cols-[1fr]"
          >
            <dt class="text-faded">{name}</dt>
            <dd>{value}</dd>
          </div>{/each}
      </dl>
    {:else}
      <p class="faded">{t.sample.empty}</p>
    {/if}
    {#if sketch}
      <a
        class="where"
        href="/plan/ground/{sketch.id}?area={sketch.areas[0].id}"
        aria-label={t.sample.onSketch}
      >
        <SketchSheet site={sketch} {format} tool="still" areaId={sketch.areas[0].id} />
      </a>
    {/if}
  </div>
  <div class="row-of-actions no-print mt-5 mb-7">
    <a class="btn btn-primary" href="/set?sample={sample.id}">{t.sample.setJar}</a>
    <button type="button" class="btn btn-secondary" onclick={edit}>{t.sample.edit}</button>
    <a class="btn btn-secondary" href="/plan/labels?sample={sample.id}">{t.sample.label}</a>
  </div>
{/if}

<h2 class="no-print mt-6">{t.photos.title}</h2>
<Photos photos={data.photos} subject="sample" subjectId={sample.id} of={sample.code} {format} />

<h2 class="mt-6">{t.sample.tests}</h2>
{#if data.lines.length > 0}
  {#each replicatesOf(data.lines) as same (same.codes.join())}
    <p class="same" class:wrong={same.apart}>{replicateText(same)}</p>
  {/each}
  <LogTable lines={data.lines} now={clock.now} {format} />
{:else}
  <p class="faded">{t.test.noResult}</p>
{/if}

<LabReports {sample} reports={data.reports} lines={data.lines} {format} today={format.isoDay(clock.now)} />

<style>
  .code {
    display: inline-block;
    padding: var(--spacing-1) var(--spacing-3);
    margin-right: var(--spacing-2);
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
    transform: rotate(-2deg);
  }
  .record.with-sketch {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 25rem;
    gap: var(--spacing-7);
    align-items: start;
  }
  .where {
    display: block;
    color: inherit;
  }
  @media (max-width: 900px) {
    .record.with-sketch {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
