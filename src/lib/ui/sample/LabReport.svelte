<!-- @component What a laboratory said of a sample, and every jar of it beside that: point by point, class by class, by height and by mass. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import { reportedShares, roundShares } from '$lib/core';
  import type { LabReport } from '$lib/contract/records/sample';
  import type { LogLine } from '$lib/contract/records/log';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { besideLab, nearerView } from '$lib/workbench/lab';

  type Props = {
    report: LabReport;
    /** Finished jars of the same sample. */
    lines: LogLine[];
    format: Format;
    /** Takes the report off. */
    onremove: () => void;
  };
  let { report, lines, format, onremove }: Props = $props();

  const rows = $derived(besideLab(report, lines));
  const nearer = $derived(nearerView(rows));
  const shares = $derived(reportedShares(report));
  const [sand, silt, clay] = $derived(
    shares ? roundShares([shares.sand, shares.silt, shares.clay]) : [report.sand, report.silt, report.clay]
  );
  const signed = (n: number) => `${n > 0.05 ? '+' : n < -0.05 ? '−' : '±'}${Math.abs(n).toFixed(1)}`;
</script>

{#snippet jarLink(row: { id: string; code: string })}
  <a class="link ink" href="/tests/{row.id}">{row.code}</a>
{/snippet}

<article class="max-w-wide">
  <h3 class="flex gap-5 items-baseline mt-3">
    {t.lab.from(report.lab, report.reportedOn ? format.dayOf(report.reportedOn) : '')}
    <button
      type="button"
      class="link no-print font-text text-sm font-normal leading-[normal]"
      onclick={onremove}>{t.lab.remove}</button
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
          text: (row) =>
            [row.difference.sand, row.difference.silt, row.difference.clay].map(signed).join(' · ')
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
        {nearer.byPoints < 0.5 ? t.lab.alike : t.lab.nearer(t.lab[nearer.view], nearer.byPoints.toFixed(1))}
      </p>
    {/if}
  {/if}
</article>

<style>
  p {
    margin: var(--spacing-2) 0;
  }
</style>
