<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration } from '$lib/core';
  import Field from '$lib/ui/fields/Field.svelte';
  import MomentField from '$lib/ui/fields/MomentField.svelte';
  import { sheetToKeep } from '$lib/ui/paper/keeping.svelte';
  import MarkSheet from '$lib/ui/paper/MarkSheet.svelte';
  import ReadingSheet from '$lib/ui/paper/ReadingSheet.svelte';
  import { heightIn } from '$lib/ui/set/amounts';
  import { t } from '$lib/words';
  import { doseWords } from '$lib/workbench/used';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const test = $derived(data.test);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const method = $derived(test.method);
  const tool = $derived(method.kind === 'pipette' ? ('pipette' as const) : ('hydrometer' as const));
  /** What is written on the printed sheet besides its times. */
  const blanks = $derived([
    ...(test.cylinder
      ? [t.cylinder.airDry, t.cylinder.wet, t.cylinder.dry, t.cylinder.tin, t.cylinder.blank]
      : [...(['gravel', 'sand', 'silt', 'clay'] as const).map((l) => t.read.line(t.layer[l])), t.read.total]),
    t.sample.fields.note
  ]);
  const stands = $derived(test.status !== 'ready');
  const paper = sheetToKeep(
    () => data.test,
    () => page.data.profile
  );
  const { keeping } = paper;
  const { sheet, errors } = $derived(paper);
</script>

<h1 class="mt-6 mb-1">{t.paper.title(test.code)}</h1>
<p class="faded">{test.sample.name} · {method.name} · {test.vessel.name} · {format.temp(test.tempC)}</p>
<p class="no-print max-w-reading my-3">{t.paper.lead}</p>
<p class="mt-3 mb-5">
  {#if test.cylinder}
    {t.cylinder.set.soil(test.cylinder.facts.airDryG)}, {t.cylinder.set.dose(
      method.dispersant.mlPerL,
      method.dispersant.note
    )}, {t.cylinder.set.water(test.cylinder.facts.cylinderMl)}.
  {:else}
    {t.set.answerSoil(heightIn(test.vessel, test.soilMm, format))}, {t.set.water.toLowerCase()}
    {heightIn(test.vessel, test.waterMm, format)}, {doseWords(test, format)}.
  {/if}
  {method.agitate.how}
  {t.set.markWindow(formatDuration(method.agitate.fromS), formatDuration(method.agitate.toS))}.
</p>

{#if stands}
  <p>{t.paper.stands} <a class="link" href="/tests/{test.id}">{test.code}</a></p>
{:else}
  <form use:keeping.enhance method="POST" novalidate>
    <div class="max-w-narrow mb-5">
      <Field label={t.paper.setDown} error={errors.setDown}>
        {#snippet children(entry)}
          <MomentField {entry} bind:value={paper.texts.setDown} />
        {/snippet}
      </Field>
    </div>
    {#if sheet.readings.length > 0}
      <ReadingSheet
        bind:texts={paper.texts}
        readings={sheet.readings}
        {tool}
        {errors}
        temperature={format.profile.temperature}
      />
    {:else if sheet.marks.length > 0}
      <MarkSheet bind:texts={paper.texts} marks={sheet.marks} {errors} {unit} />
    {:else}
      <p>{t.set.noMarks(method.end.note)}</p>
    {/if}
    <div class="blanks hidden" aria-hidden="true">
      {#each blanks as blank (blank)}<span>{blank}</span>{/each}
    </div>
    {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
    <div class="row-of-actions no-print mt-6">
      <button class="btn btn-primary" disabled={keeping.sending}>{t.paper.keep}</button>
      <button type="button" class="btn btn-secondary" onclick={() => print()}>{t.paper.print}</button>
    </div>
  </form>
{/if}

<style>
  @media print {
    .blanks {
      display: grid;
      gap: 9mm;
      margin-top: 10mm;
    }
    .blanks span {
      border-bottom: var(--line) solid black;
      padding-bottom: 1mm;
    }
  }
</style>
