<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { fitted } from '$lib/ui/fields/draft';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import Photos from '$lib/ui/photos/Photos.svelte';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { formOf, SAMPLE_MEASURED, type SampleForm } from '$lib/ui/sample/form';
  import LabReports from '$lib/ui/sample/LabReports.svelte';
  import SampleEdit from '$lib/ui/sample/SampleEdit.svelte';
  import MixPromise from '$lib/ui/sample/MixPromise.svelte';
  import WallPieces from '$lib/ui/act/WallPieces.svelte';
  import SampleFacts from '$lib/ui/sample/SampleFacts.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { judgedText } from '$lib/words/judged';
  import { judgedBy } from '$lib/workbench/judged-by';
  import { replicateText } from '$lib/words/replicates';
  import { t } from '$lib/words';
  import { replicatesOf } from '$lib/workbench/replicates';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const unit = $derived(format.profile.length);
  const sample = $derived(data.sample);
  const judged = $derived(judgedBy(data.known));

  let form = $state<SampleForm>(untrack(() => formOf(data.sample, unit)));
  let editing = $state(false);
  const forget = keepsDraft<SampleForm | null>(
    untrack(() => `sample:${data.sample.id}`),
    (kept) => {
      form = fitted(kept, form);
      editing = true;
    },
    () => (editing ? $state.snapshot(form) : null),
    SAMPLE_MEASURED
  );
  function edit() {
    form = formOf(sample, unit);
    editing = true;
  }
  function leave() {
    editing = false;
    forget();
  }
</script>

<div class="mt-6 mb-5">
  <h1><span class="code">{sample.code}</span> {sample.name}</h1>
  <p class="faded">{t.purpose[sample.purpose]} · {t.sample.taken(format.day(sample.createdAt))}</p>
</div>

{#if editing}
  <SampleEdit
    {sample}
    bind:form
    sites={data.sites}
    {format}
    today={format.isoDay(clock.now)}
    onleave={leave}
  />
{:else}
  <SampleFacts {sample} sites={data.sites} {format} />
  <div class="row-of-actions no-print mt-5 mb-7">
    <a class="btn btn-primary" href="/set?sample={sample.id}">{t.sample.setJar}</a>
    <button type="button" class="btn btn-secondary" onclick={edit}>{t.sample.edit}</button>
    <a class="btn btn-secondary" href="/plan/labels?sample={sample.id}">{t.sample.label}</a>
    <a class="btn btn-secondary" href="/reports/sample/{sample.id}">{t.report.link}</a>
  </div>
{/if}

<h2 class="no-print mt-6">{t.photos.title}</h2>
<Photos photos={data.photos} subject="sample" subjectId={sample.id} name={sample.code} {format} />

{#if sample.details.mix}
  <div class="mt-6"><MixPromise mix={sample.details.mix} jars={data.mixed} /></div>
{/if}

<h2 class="mt-6">{t.sample.tests}</h2>
{#if judged}<p data-testid="judged-by">{judgedText(judged)}</p>{/if}
{#if data.lines.length > 0}
  {#each replicatesOf(data.lines) as same (same.codes.join())}
    <p class="same" class:wrong={same.apart}>{replicateText(same)}</p>
  {/each}
  <LogTable lines={data.lines} now={clock.now} {format} />
{:else}
  <p class="faded">{t.test.noResult}</p>
{/if}

{#if sample.purpose === 'build' || data.pieces.length > 0}
  <div class="mt-6">
    <WallPieces chosen={{ sample }} pieces={data.pieces} figures={data.usual} {format} />
  </div>
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
</style>
