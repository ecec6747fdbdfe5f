<!-- @component What laboratories said of a sample, and every jar of it beside them: point by point, class by class, by height and by mass. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { reportedShares, roundShares, SAND_LIMITS_UM } from '$lib/core';
  import type { LabReport, SampleRecord } from '$lib/contract/records/sample';
  import type { LogLine } from '$lib/contract/records/log';
  import DayField from '../fields/DayField.svelte';
  import Field from '../fields/Field.svelte';
  import { readDay } from '../fields/time';
  import { commandForm, type FieldErrors, type FormRead } from '../fields/command-form.svelte';
  import { readNumber } from '../fields/read';
  import type { PayloadInput } from '$lib/contract/commands';
  import type { Format } from '$lib/words/format';
  import { offerUndo, record } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { besideLab, nearerView } from '$lib/workbench/lab';

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
  const signed = (n: number) => `${n > 0.05 ? '+' : n < -0.05 ? '−' : '±'}${Math.abs(n).toFixed(1)}`;
</script>

{#snippet jarLink(row: { id: string; code: string })}
  <a class="link ink" href="/tests/{row.id}">{row.code}</a>
{/snippet}

<section aria-label={t.lab.title}>
  <h2 class="mt-6">{t.lab.title}</h2>
  {#each reports as report (report.id)}
    {@const rows = besideLab(report, lines)}
    {@const nearer = nearerView(rows)}
    {@const shares = reportedShares(report)}
    {@const [sand, silt, clay] = shares
      ? roundShares([shares.sand, shares.silt, shares.clay])
      : [report.sand, report.silt, report.clay]}
    <article class="max-w-wide">
      <h3 class="flex gap-5 items-baseline mt-3">
        {t.lab.from(report.lab, report.reportedOn ? format.dayOf(report.reportedOn) : '')}
        <button
          type="button"
          class="link no-print font-text text-sm font-normal leading-[normal]"
          onclick={() => record('lab.remove', { reportId: report.id }, t.lab.removed)}>{t.lab.remove}</button
        >
      </h3>
      <p>
        {#if rows[0]}{t.lab.says(sand, silt, clay, rows[0].labClass.name)}{:else}{sand} · {silt} · {clay}{/if}
        {#if report.organicPct !== null}{t.lab.organicSaid(report.organicPct)}{/if}
        {#if report.sandLimitUm !== 50}<span class="faded">{t.lab.moved(report.sandLimitUm)}</span>{/if}
        {report.note}
      </p>
      {#if !shares}<p class="wrong">{t.lab.noPoint((sand + silt + clay).toFixed(1))}</p>{/if}
      {#if rows.length > 0}
        <DataTable
          {rows}
          key={(row) => row.id + row.view}
          columns={[
            { id: 'jar', head: t.lab.jar, cell: jarLink },
            { id: 'view', head: t.lab.view, text: (row) => t.lab[row.view] },
            {
              id: 'difference',
              head: t.lab.difference,
              text: (row) => SHARES.map((s) => signed(row.difference[s])).join(' · ')
            },
            {
              id: 'points',
              head: t.lab.points,
              num: true,
              strong: true,
              text: (row) => row.points.toFixed(1)
            },
            {
              id: 'class',
              head: t.lab.classOf,
              text: (row) => (row.jarClass.id === row.labClass.id ? t.lab.same : row.jarClass.name)
            }
          ]}
        />
        {#if nearer}
          <p>
            {nearer.byPoints < 0.5
              ? t.lab.alike
              : t.lab.nearer(t.lab[nearer.view], nearer.byPoints.toFixed(1))}
          </p>
        {/if}
      {/if}
    </article>
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
