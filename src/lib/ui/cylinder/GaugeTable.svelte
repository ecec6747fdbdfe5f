<!--
  @component The readings of a cylinder as a table: time asked for and taken, the figure and the water to be typed, and what
  came of them. A figure is kept when its field is left.
-->
<script lang="ts">
  import DataTable, { type Column } from '../kit/DataTable.svelte';
  import DropButton from '../kit/DropButton.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { formatTapeTime, fromCelsius, type Bulb } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import { keepsDraft } from '../fields/kept.svelte';
  import { commandForm } from '../fields/command-form.svelte';
  import Field from '../fields/Field.svelte';
  import { readDuration, readTemperature } from '../fields/read';
  import Sheet from '../station/Sheet.svelte';
  import type { Format } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import { offerUndo, problemText, record } from '$lib/browser/actions';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';
  import { readNumber } from '../fields/read';
  import type { ReadingRow } from '$lib/workbench/working/readings';

  type Props = {
    jar: JarRecord;
    run: RunRecord | null;
    rows: ReadingRow[];
    tool: 'hydrometer' | 'pipette';
    bulb: Bulb;
    /** What is wrong with a reading, by number. */
    wrong: Record<number, string>;
    format: Format;
    editable: boolean;
  };
  let { jar, run, rows, tool, bulb, wrong, format, editable }: Props = $props();

  const unit = $derived(tool === 'pipette' ? t.cylinder.unit.pipette : t.cylinder.unit[bulb]);
  const warmth = (c: number) => String(Math.round(fromCelsius(c, format.profile.temperature) * 10) / 10);
  let typed = $state<Record<string, { value?: string; temp?: string }>>({});
  let refused = $state<Record<string, string>>({});
  keepsDraft<typeof typed>(
    untrack(() => `gauges:${jar.id}`),
    (kept) => (typed = { ...kept }),
    () => $state.snapshot(typed)
  );

  const valueText = (row: ReadingRow) =>
    typed[row.no]?.value ?? (row.gauge?.value === null ? '' : String(row.gauge?.value ?? ''));
  const tempText = (row: ReadingRow) =>
    typed[row.no]?.temp ?? (row.gauge ? warmth(row.gauge.tempC ?? jar.tempC) : '');

  /** Readings that were typed without a press, by number: a second figure belongs to the same. */
  const made: Record<number, string> = {};
  /** One at a time: a figure typed over another must not overtake it. */
  let keeping: Promise<void> = Promise.resolve();
  function keep(no: number) {
    keeping = keeping.then(() => keepNow(no));
  }

  /** Keeps what was typed in a line; one that was never pressed is taken at the time the method asks for. */
  async function keepNow(no: number) {
    const row = rows[no];
    const words = typed[no];
    if (words === undefined || !run) return;
    delete refused[no];
    const [valueWords, tempWords] = [valueText(row).trim(), tempText(row).trim()];
    const gaugeId = row.gauge?.id ?? made[no];
    if (valueWords === '' && !gaugeId) {
      delete typed[no];
      return;
    }
    const value = valueWords === '' ? null : readNumber(valueWords);
    const temp =
      tempWords === '' ? { value: jar.tempC } : readTemperature(tempWords, format.profile.temperature);
    if (value !== null && Number.isNaN(value))
      refused[no] = t.cylinder.number(t.cylinder.valueOf(no + 1).toLowerCase());
    else if (temp.value === undefined) refused[no] = temp.error!;
    if (refused[no]) return;
    const entered = { value, tempC: temp.value! };
    try {
      if (gaugeId) await send('gauge.enter', { testId: jar.id, gaugeId, ...entered });
      else {
        const at = run.setDownAt + (jar.method.readings![no].atS ?? 0) * 1000;
        const id = ulid();
        await send('gauge.take', { testId: jar.id, runId: run.id, gaugeId: id, no, ...entered }, at);
        made[no] = id;
      }
      // What has been typed in the meantime stays, and is kept next.
      if (typed[no] === words) delete typed[no];
    } catch (problem) {
      refused[no] =
        problem instanceof CommandRefused
          ? (Object.values(problem.fields)[0] ?? problem.message)
          : problemText(problem);
    }
  }
  function type(no: number, part: 'value' | 'temp', text: string) {
    typed[no] = { ...typed[no], [part]: text };
  }
  /** The time of a reading that was pressed too soon or too late. */
  let timing = $state<ReadingRow | undefined>();
  let time = $state('');
  const timeForm = commandForm({
    id: 'gauge-time',
    texts: () => ({ time }),
    read: (texts) => {
      const read = readDuration(texts.time);
      if (!timing?.gauge || !run || read.value === undefined) return { errors: { time: read.error } };
      const at = Math.round(run.setDownAt + read.value * 1000);
      return { errors: {}, payload: { testId: jar.id, gaugeId: timing.gauge.id, at } };
    },
    keep: async (payload) => {
      const [no, said] = [timing?.no ?? 0, formatTapeTime(run ? (payload.at - run.setDownAt) / 1000 : 0)];
      const sent = await send('gauge.time', payload);
      timing = undefined;
      time = '';
      offerUndo(sent, t.cylinder.done.timed(jar.code, no + 1, said));
    }
  });
  async function takeBack(row: ReadingRow) {
    delete made[row.no];
    const payload = { testId: jar.id, gaugeId: row.gauge!.id };
    await record('gauge.remove', payload, t.cylinder.done.removed(jar.code, row.no + 1));
  }

  const errorOf = (row: ReadingRow) => refused[row.no] ?? wrong[row.no];
  const columns = $derived.by((): Column<ReadingRow>[] => {
    const c = t.cylinder.column;
    const worked = (f: (w: NonNullable<ReadingRow['worked']>) => string) => (row: ReadingRow) =>
      row.worked ? f(row.worked) : '';
    return [
      { id: 'no', head: c.no, namesRow: true, text: (row) => String(row.no + 1) },
      { id: 'asked', head: c.asked, num: true, text: (row) => row.asked },
      { id: 'took', head: c.took, num: true, cell: took },
      {
        id: 'value',
        head: `${c.value[tool]}, ${unit}`,
        ...(editable ? { cell: valueEntry } : { text: (row) => String(row.gauge?.value ?? '') })
      },
      {
        id: 'temp',
        head: `${c.temp}, °${format.profile.temperature}`,
        ...(editable ? { cell: tempEntry } : { text: tempText })
      },
      ...(tool === 'hydrometer'
        ? [
            {
              id: 'blank',
              head: c.blank,
              num: true,
              text: worked((w) => (w.blank ? String(w.blank.value) : ''))
            },
            { id: 'corrected', head: c.corrected, num: true, text: worked((w) => w.corrected!.toFixed(1)) }
          ]
        : []),
      { id: 'size', head: c.size, num: true, text: worked((w) => `${cutText(w.shownUm)} µm`) },
      {
        id: 'finer',
        head: c.finer,
        num: true,
        strong: true,
        text: worked((w) => `${w.finerPct.toFixed(1)} %`)
      },
      ...(editable ? [{ id: 'act', head: t.common.undo, headUnseen: true, cell: acts }] : [])
    ];
  });
</script>

<div class="wide">
  <DataTable
    {rows}
    key={(row) => String(row.no)}
    class="tight w-full"
    rowClass={(row) => (row.next ? 'next' : '')}
    {columns}
    {under}
  />
</div>

{#snippet took(row: ReadingRow)}
  {row.took ?? ''}{#if row.passed}<span class="faded">{t.cylinder.passed}</span>{/if}
  {#if row.gauge?.simulated}<span class="faded small">{t.cylinder.simulated}</span>{/if}
{/snippet}
{#snippet valueEntry(row: ReadingRow)}
  <input
    class="input w-[5.6rem] h-touch"
    inputmode="decimal"
    aria-label={t.cylinder.valueOf(row.no + 1)}
    aria-invalid={errorOf(row) ? 'true' : undefined}
    disabled={!run}
    value={valueText(row)}
    oninput={(e) => type(row.no, 'value', e.currentTarget.value)}
    onchange={() => keep(row.no)}
  />
{/snippet}
{#snippet tempEntry(row: ReadingRow)}
  <input
    class="input w-[5.6rem] h-touch"
    inputmode="decimal"
    aria-label={t.cylinder.tempOf(row.no + 1)}
    disabled={!run}
    value={tempText(row)}
    placeholder={warmth(jar.tempC)}
    oninput={(e) => type(row.no, 'temp', e.currentTarget.value)}
    onchange={() => keep(row.no)}
  />
{/snippet}
{#snippet acts(row: ReadingRow)}
  {#if row.gauge}
    <button
      type="button"
      class="link small"
      aria-label={t.cylinder.correctTime(row.no + 1)}
      onclick={() => (timing = row)}>{t.correct.short}</button
    >
    <DropButton label={t.cylinder.takeBack(row.no + 1)} onclick={() => takeBack(row)} />
  {/if}
{/snippet}
{#snippet under(row: ReadingRow)}
  {#if errorOf(row)}
    <tr class="said">
      <td></td><td colspan="9"><p class="wrong small mb-2" role="alert">{errorOf(row)}</p></td>
    </tr>
  {/if}
{/snippet}

<Sheet
  bind:open={() => timing !== undefined, (is) => is || (timing = undefined)}
  title={timing ? t.cylinder.correctTime(timing.no + 1) : ''}
  lead={t.correct.lead}
>
  <form id={timeForm.id} use:timeForm.enhance method="POST" novalidate>
    <Field
      label={t.correct.gaugeTime}
      hint={t.correct.timeHint}
      error={timeForm.errors.time ?? timeForm.errors['']}
    >
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          bind:value={time}
          placeholder="40 s"
        />{/snippet}
    </Field>
  </form>
  {#snippet actions()}<button form={timeForm.id} class="btn btn-primary">{t.correct.keep}</button>{/snippet}
</Sheet>

<style>
  .wide {
    /* What is hidden from sight must be clipped with the rest of the table. */
    position: relative;
    overflow-x: auto;
  }
  .wide :global(:is(td, th)) {
    padding-right: var(--spacing-4);
    white-space: nowrap;
    vertical-align: middle;
  }
  .wide :global(.next :is(th, td:first-of-type)) {
    color: var(--pen);
    font-weight: 750;
  }
  .wide :global(.said td) {
    white-space: normal;
    border: 0;
  }
</style>
