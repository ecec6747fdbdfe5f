<!-- @component What laboratories said of a sample, and the form for one more report. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { SAND_LIMITS_UM } from '$lib/core';
  import type { LabReport, SampleRecord } from '$lib/contract/records/sample';
  import type { LogLine } from '$lib/contract/records/log';
  import DayField from '../fields/DayField.svelte';
  import Field from '../fields/Field.svelte';
  import { readDay } from '../fields/time';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import type { PayloadInput } from '$lib/contract/commands';
  import type { Format } from '$lib/words/format';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import LabReportCard from './LabReport.svelte';

  type Props = {
    sample: SampleRecord;
    reports: LabReport[];
    lines: LogLine[];
    format: Format;
    today: string;
  };
  let { sample, reports, lines, format, today }: Props = $props();

  const SHARES = ['sand', 'silt', 'clay'] as const;
  const blank = () => ({
    lab: '',
    date: '',
    sand: '',
    silt: '',
    clay: '',
    limit: '50',
    organic: '',
    note: ''
  });
  let form = $state(blank());
  let open = $state(false);

  /** Reads the report: shares and organic matter as figures. */
  function read(texts: typeof form): FormRead<PayloadInput<'lab.add'>> {
    const errors: FieldErrors = {};
    const percent = (field: 'sand' | 'silt' | 'clay' | 'organic'): number => {
      const value = readNumber(texts[field]);
      if (Number.isNaN(value)) errors[field] = t.lab.badPercent;
      return value;
    };
    const [sand, silt, clay] = SHARES.map(percent);
    const organicPct = texts.organic.trim() === '' ? null : percent('organic');
    if (texts.date !== '' && !readDay(texts.date)) errors.date = t.fields.badDay;
    const payload = {
      reportId: ulid(),
      sampleId: sample.id,
      lab: texts.lab,
      reportedOn: texts.date || null,
      sand,
      silt,
      clay,
      sandLimitUm: Number(texts.limit) as 50,
      organicPct,
      note: texts.note
    };
    return Object.keys(errors).length > 0 ? { errors } : { payload, errors };
  }
  const labForm = commandForm({
    id: 'lab',
    texts: () => form,
    read,
    command: 'lab.add',
    names: { organicPct: 'organic', reportedOn: 'date' },
    keep: async (payload) => {
      const sent = await send('lab.add', payload);
      leave();
      offerUndo(sent, t.lab.kept(payload.lab.trim()));
    },
    draft: {
      key: untrack(() => `lab:${sample.id}`),
      take: (kept) => {
        form = { ...form, ...((kept as { form?: typeof form }).form ?? kept) };
        open = Object.values(form).some((text) => text !== '' && text !== '50');
      }
    }
  });
  const errors = $derived(labForm.errors);

  function leave() {
    form = blank();
    open = false;
    labForm.clear();
  }
</script>

<section aria-label={t.lab.title}>
  <h2 class="mt-6">{t.lab.title}</h2>
  {#each reports as report (report.id)}
    <LabReportCard
      {report}
      {lines}
      {format}
      onremove={() => record('lab.remove', { reportId: report.id }, t.lab.removed)}
    />
  {:else}
    <p class="faded">{t.lab.none}</p>
  {/each}
  {#if open}
    <form use:labForm.enhance method="POST" novalidate class="no-print">
      <Field label={t.lab.name} error={errors.lab}>
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            bind:value={form.lab}
            maxlength="80"
          />{/snippet}
      </Field>
      <Field label={t.lab.date} error={errors.date}>
        {#snippet children(entry)}
          <DayField {entry} max={today} bind:value={form.date} />
        {/snippet}
      </Field>
      {#each SHARES as share (share)}
        <Field label={t.lab.share[share]} error={errors[share]}>
          {#snippet children(entry)}
            <input {...entry} class="input" inputmode="decimal" bind:value={form[share]} />
          {/snippet}
        </Field>
      {/each}
      <Field label={t.lab.limit}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={form.limit}>
            {#each SAND_LIMITS_UM as um (um)}<option value={String(um)}>{um} µm</option>{/each}
          </select>
        {/snippet}
      </Field>
      <Field label={t.lab.organic} error={errors.organic}>
        {#snippet children(entry)}
          <input {...entry} class="input" inputmode="decimal" bind:value={form.organic} />
        {/snippet}
      </Field>
      <Field label={t.lab.note} error={errors.note}>
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            bind:value={form.note}
            maxlength="500"
          />{/snippet}
      </Field>
      {#if errors['']}<p class="wrong col-span-full" role="alert">{errors['']}</p>{/if}
      <div class="row-of-actions col-span-full">
        <button class="btn btn-primary">{t.lab.keep}</button>
        <button type="button" class="btn btn-secondary" onclick={leave}>{t.common.cancel}</button>
      </div>
    </form>
  {:else}
    <p class="no-print">
      <button type="button" class="btn btn-secondary" onclick={() => (open = true)}>{t.lab.add}</button>
    </p>
  {/if}
</section>

<style>
  p {
    margin: var(--spacing-2) 0;
  }
  form {
    display: grid;
    grid-template-columns: 2fr 1fr 1fr 1fr;
    gap: var(--spacing-4) var(--spacing-6);
    align-items: start;
    max-width: 56rem;
    margin-top: var(--spacing-4);
  }
  @media (max-width: 900px) {
    form {
      grid-template-columns: 1fr 1fr;
    }
  }
</style>
