<!--
  @component The readings of a cylinder as a table: time asked for and taken, the figure and the water to be typed, and what
  came of them. A figure is kept when its field is left.
-->
<script lang="ts">
  import DataTable, { type Column } from '../kit/DataTable.svelte';
  import DropButton from '../kit/DropButton.svelte';
  import { untrack } from 'svelte';
  import type { Bulb } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import { keepsDraft } from '../fields/kept.svelte';
  import type { Format } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import { t } from '$lib/words';
  import type { ReadingRow } from '$lib/workbench/working/readings';
  import { GaugeEntries, type TypedGauges } from './gauges.svelte';
  import GaugeTime from './GaugeTime.svelte';

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
  const entries = new GaugeEntries(() => ({ jar, run, rows, format }));
  keepsDraft<TypedGauges>(
    untrack(() => `gauges:${run?.id ?? jar.id}`),
    (kept) => (entries.typed = { ...kept }),
    () => $state.snapshot(entries.typed),
    { temperatures: ['temp'] }
  );
  /** The reading whose time is corrected. */
  let timing = $state<ReadingRow | undefined>();

  const errorOf = (row: ReadingRow) => entries.refused[row.no] ?? wrong[row.no];
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
        ...(editable ? { cell: tempEntry } : { text: (row) => entries.tempText(row) })
      },
      ...(tool === 'hydrometer'
        ? [
            {
              id: 'blank',
              head: c.blank,
              num: true,
              text: worked((w) => String(w.hydrometer?.blank?.value ?? ''))
            },
            {
              id: 'corrected',
              head: c.corrected,
              num: true,
              text: worked((w) => w.hydrometer?.corrected.toFixed(1) ?? '')
            }
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
    value={entries.valueText(row)}
    oninput={(e) => entries.type(row.no, 'value', e.currentTarget.value)}
    onchange={() => entries.keep(row.no)}
  />
{/snippet}
{#snippet tempEntry(row: ReadingRow)}
  <input
    class="input w-[5.6rem] h-touch"
    inputmode="decimal"
    aria-label={t.cylinder.tempOf(row.no + 1)}
    disabled={!run}
    value={entries.tempText(row)}
    placeholder={entries.warmth(jar.tempC)}
    oninput={(e) => entries.type(row.no, 'temp', e.currentTarget.value)}
    onchange={() => entries.keep(row.no)}
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
    <DropButton label={t.cylinder.takeBack(row.no + 1)} onclick={() => entries.takeBack(row)} />
  {/if}
{/snippet}
{#snippet under(row: ReadingRow)}
  {#if errorOf(row)}
    <tr class="said">
      <td></td><td colspan="9"><p class="wrong small mb-2" role="alert">{errorOf(row)}</p></td>
    </tr>
  {/if}
{/snippet}

<GaugeTime {jar} {run} bind:row={timing} />

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
