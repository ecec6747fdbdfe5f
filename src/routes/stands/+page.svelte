<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { isShare, judgeReading, RangeProblem, UNKNOWN_VESSEL } from '$lib/core';
  import { toJarReading } from '$lib/contract/reading';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { commandForm } from '$lib/ui/fields/command-form.svelte';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import { ReadingForm } from '$lib/ui/read/form.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import Outcome from '$lib/ui/read/Outcome.svelte';
  import ShareOutcome from '$lib/ui/read/ShareOutcome.svelte';
  import RulerChoice from '$lib/ui/read/RulerChoice.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import { blankTexts, type ReadingTexts } from '$lib/ui/read/texts';
  import WaterNote from '$lib/ui/read/WaterNote.svelte';
  import { ReadingWork } from '$lib/browser/work';
  import Known, { type KnownTexts } from '$lib/ui/stands/Known.svelte';
  import { readShares, type ShareTexts } from '$lib/ui/stands/shares';
  import SharesTable from '$lib/ui/stands/SharesTable.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import Triangle from '$lib/ui/triangle/Triangle.svelte';
  import { wholeShares } from '$lib/words/headline';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const WAYS = ['heights', 'eye', 'others'] as const;

  let way = $state<(typeof WAYS)[number]>('heights');
  let known = $state<KnownTexts>({ stood: 'yesterday', vesselId: '', sampleId: '', sampleName: '' });
  let shareTexts = $state<ShareTexts>({ sand: '', silt: '', clay: '', by: '' });
  const vessel = $derived(data.vessels.find((v) => v.id === known.vesselId) ?? UNKNOWN_VESSEL);
  const form = untrack(() => {
    const unit = page.data.profile.length;
    return new ReadingForm(blankTexts(unit === 'in' ? 'sixteenths' : 'mm'), {
      unit,
      temperature: page.data.profile.temperature,
      vessel,
      waterMm: vessel.shoulderHeightMm
    });
  });
  $effect(() => form.setVessel(vessel));

  type Draft = { way: typeof way; known: KnownTexts; shares: ShareTexts; form: Partial<ReadingTexts> };
  const forget = keepsDraft<Draft>(
    'stands',
    (kept) => {
      way = kept.way;
      known = { ...known, ...kept.known };
      shareTexts = { ...shareTexts, ...kept.shares };
      form.takeDraft(kept.form);
    },
    () => ({
      way,
      known: $state.snapshot(known),
      shares: $state.snapshot(shareTexts),
      form: { ...$state.snapshot(form.texts), unit: form.unit }
    })
  );

  const shared = $derived(way === 'heights' ? undefined : readShares(shareTexts, way));
  const entry = $derived(shared ? shared.entry : form.entry);
  /** The entry as the core takes it; what it refuses stands beside its field already. */
  const reading = $derived.by(() => {
    if (!entry) return undefined;
    const made = toJarReading(entry, { vessel, waterMm: vessel.shoulderHeightMm });
    try {
      judgeReading(made, 'usda', { draws: 50 });
      return made;
    } catch (refused) {
      if (refused instanceof RangeProblem) return undefined;
      throw refused;
    }
  });
  const work = new ReadingWork();
  $effect(() => void work.ask(reading && $state.snapshot(reading)));
  const worked = $derived(reading ? work.answer : undefined);
  const result = $derived(worked?.result);
  const texture = $derived(result && !isShare(result) ? result : undefined);
  const shares = $derived(texture && wholeShares(texture.fractions));

  const keepForm = commandForm({
    id: 'stands',
    texts: () => known,
    read: (texts) => {
      if (!entry || !reading) {
        const first = shared && Object.values(shared.errors)[0];
        return { errors: { '': first ?? (shared ? undefined : form.problem) ?? t.stands.need } };
      }
      return {
        errors: {},
        payload: {
          testId: ulid(),
          runId: ulid(),
          readingId: ulid(),
          stood: texts.stood,
          sampleId: texts.sampleId || ulid(),
          sampleName: texts.sampleName,
          vesselId: texts.vesselId || null,
          entry: $state.snapshot(entry)
        }
      };
    },
    keep: async (payload) => {
      const sent = await send('jar.stood', payload);
      forget();
      offerUndo(sent, t.stands.kept, () => goto('/stands'));
      await goto(payload.entry.figures ? `/tests/${payload.testId}` : `/read/${payload.testId}`);
    }
  });
</script>

<h1 class="mt-6 mb-1">{t.stands.title}</h1>
<p class="lead">{t.stands.lead}</p>
<div
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)_minmax(0,0.85fr)] gap-y-5 gap-x-8 items-start mt-5 max-lg:grid-cols-1"
>
  <section class="grid gap-4" aria-label={t.stands.what}>
    <Choice
      label={t.stands.what}
      bind:value={way}
      options={WAYS.map((value) => ({ value, label: t.stands.ways[value] }))}
    />
    {#if shared}
      <SharesTable
        bind:texts={shareTexts}
        errors={shared.errors}
        follows={shared.follows}
        others={way === 'others'}
      />
    {:else}
      <div class="flex flex-wrap gap-y-2 gap-x-5">
        <RulerChoice {form} />
      </div>
      <LineTable {form} {result} {format} />
      <SumCheck
        {form}
        {result}
        {format}
        onfixlayers={() => document.querySelector<HTMLInputElement>('.lines input')?.focus()}
      />
    {/if}
  </section>
  <section class="answer grid gap-4" aria-label={t.stands.answer}>
    <Triangle
      point={texture?.fractions}
      classId={texture?.class.id}
      probabilities={texture && Object.fromEntries(texture.classes.map((c) => [c.id, c.probability]))}
      region={worked?.region}
      label={texture && shares
        ? t.result.triangle(texture.class.name, shares.sand, shares.silt, shares.clay)
        : t.result.triangleEmpty}
    />
    <div aria-live="polite">
      {#if result && isShare(result)}
        <ShareOutcome {result} {format} figures={entry?.figures} />
      {:else if texture}
        <Outcome result={texture} sigmaMm={form.sigmaMm} figures={entry?.figures} {format} />
      {:else}<p class="faded">{t.stands.need}</p>{/if}
    </div>
    <div class="row-of-actions keep">
      {#if keepForm.errors['']}<p class="wrong" role="alert">{keepForm.errors['']}</p>{/if}
      <form use:keepForm.enhance method="POST">
        <button class="btn btn-primary" disabled={keepForm.sending}>{t.stands.keep}</button>
      </form>
      <span class="faded small">{t.stands.keepNote}</span>
    </div>
  </section>
  <section class="grid gap-4" aria-label={t.stands.more}>
    <h2>{t.stands.more}</h2>
    <Known bind:known vessels={data.vessels} samples={data.samples} errors={keepForm.errors} />
    {#if way === 'heights'}<WaterNote bind:value={form.texts.water} />{/if}
  </section>
</div>

<style>
  .keep {
    z-index: 2;
    position: sticky;
    bottom: var(--foot);
    padding: var(--spacing-3) 0 var(--spacing-4);
    background: var(--paper);
    border-top: var(--line) solid var(--hair);
  }
</style>
