<!-- @component Tests as lines: jar, sample, method, when, fractions as a bar in sediment colours, class. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import { roundShares } from '$lib/core';
  import type { LogLine } from '$lib/contract/records/log';
  import type { Format } from '$lib/words/format';
  import type { PayloadInput } from '$lib/contract/commands';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { classParts, shareShort } from '$lib/words/headline';
  import { LOG_ORDER, type LogSort } from '$lib/workbench/find';
  import { t } from '$lib/words';
  import type { Snippet } from 'svelte';

  type Props = {
    lines: LogLine[];
    now: number;
    format: Format;
    /** The order the lines stand in; without it, as they come. */
    sort?: LogSort;
    onsort?: (sort: LogSort) => void;
    /** Tests that are chosen, where several may be. */
    picked?: Set<string>;
    onpick?: (line: LogLine) => void;
    /** What may be done with a line. */
    action?: Snippet<[LogLine]>;
  };
  let { lines, now, format, sort, onsort, picked, onpick, action }: Props = $props();

  /** Jars whose set-down waits in this browser: the bench shows them standing. */
  const setDownHere = $derived(
    new Set(
      outbox.waiting.flatMap(({ name, payload }) =>
        name === 'jar.set-down' ? [(payload as PayloadInput<'jar.set-down'>).testId] : []
      )
    )
  );

  const shares = (line: LogLine) => roundShares([line.sand ?? 0, line.silt ?? 0, line.clay ?? 0]);
  /** When it was set down; of one that was met standing, or came in from a table, when it came onto the bench. */
  const dateText = (line: LogLine) =>
    line.setDownAt
      ? format.when(line.setDownAt, now)
      : line.status === 'ready'
        ? setDownHere.has(line.id)
          ? t.log.setDownWaits
          : t.jar.notSet
        : line.takenOn
          ? t.log.takenOn(format.dayOf(line.takenOn))
          : t.log.metOn(format.day(line.createdAt));
</script>

<div class="log">
  <DataTable
    rows={lines}
    key={(line) => line.id}
    {sort}
    onsort={onsort && ((id) => onsort(id as LogSort))}
    columns={[
      ...(picked
        ? [{ id: 'pick', class: 'pick', head: t.log.chooseHead, headUnseen: true, cell: pick }]
        : []),
      { id: 'code', class: 'jar', head: t.log.columns.code, cell: code },
      { id: 'sample', class: 'sample', head: t.log.columns.sample, cell: sample, compare: LOG_ORDER.sample },
      {
        id: 'method',
        class: 'faded max-md:hidden',
        head: t.log.columns.method,
        text: (line) => line.methodName
      },
      {
        id: 'date',
        class: 'faded max-md:hidden',
        head: t.log.columns.set,
        text: (line) => dateText(line),
        compare: LOG_ORDER.date,
        latestFirst: true
      },
      { id: 'fractions', class: 'bar', head: t.log.columns.fractions, cell: fractions },
      { id: 'class', class: 'class', head: t.log.columns.class, cell: className, compare: LOG_ORDER.class },
      ...(action
        ? [{ id: 'act', class: 'num act', head: t.log.restore, headUnseen: true, cell: action }]
        : [])
    ]}
  />
</div>

{#snippet pick(line: LogLine)}
  <label class="grid place-items-center min-h-touch min-w-touch cursor-pointer">
    <input
      class="checkbox"
      type="checkbox"
      aria-label={t.log.chooseOne(line.code)}
      checked={picked?.has(line.id)}
      onchange={() => onpick?.(line)}
    />
  </label>
{/snippet}
{#snippet code(line: LogLine)}
  <a class="code" href="/tests/{line.id}">{line.code}</a>
{/snippet}
{#snippet sample(line: LogLine)}
  <a class="link ink" href="/samples/{line.sampleId}">{line.sampleName}</a>
{/snippet}
{#snippet bar(parts: [keyof typeof t.layer, number][], text: string)}
  <svg viewBox="0 0 120 14" preserveAspectRatio="none" aria-hidden="true">
    {#each parts as [layer, pct], i (layer)}
      <rect
        x={parts.slice(0, i).reduce((sum, [, p]) => sum + p, 0) * 1.2}
        width={pct * 1.2}
        height="14"
        fill="url(#grain-{layer})"
      />
    {/each}
  </svg>
  <span class="text-xs whitespace-nowrap">{text}</span>
{/snippet}
{#snippet fractions(line: LogLine)}
  {#if line.silt === null && (line.sand ?? line.clay) !== null}
    {@const layer = line.sand === null ? 'clay' : 'sand'}
    {@const pct = Math.round(line.sand ?? line.clay ?? 0)}
    {@render bar([[layer, pct]], shareShort({ layer, pct }))}
  {:else if line.clayOver !== undefined}
    {@render bar([['clay', line.clayOver]], shareShort({ layer: 'clay', pct: line.clayOver, orMore: true }))}
  {:else if line.sand !== null}
    {@const [sand, silt, clay] = shares(line)}
    {@render bar(
      [
        ['sand', sand],
        ['silt', silt],
        ['clay', clay]
      ],
      `${sand} · ${silt} · ${clay}`
    )}
  {/if}
{/snippet}
{#snippet className(line: LogLine)}
  {@render came(line)}
  {#if line.act}
    <a class="link ink small block" href="/act/kept/{line.act.id}">{line.act.line}</a>
  {/if}
{/snippet}
{#snippet came(line: LogLine)}
  {#if line.class}
    {@const [name, rest] = classParts(line.class, line.probability, line.verdict)}
    <strong>{name}</strong><span class="faded">{rest}</span>{#if line.doubtful}, <span class="wrong"
        >{t.log.doubtful}</span
      >{/if}
  {:else if line.problem}
    <span class="wrong small">{t.log.unreadable(line.problem)}</span>
  {:else}
    <span class="faded">{t.status[line.status]}</span>
  {/if}
{/snippet}

<style>
  .code {
    display: inline-block;
    min-width: 3.6rem;
    padding: var(--spacing-1) var(--spacing-3);
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
    font: 700 var(--text-lg) var(--face-head);
    text-decoration: none;
    text-align: center;
    white-space: nowrap;
  }
  .log :global(.bar svg) {
    display: block;
    width: 120px;
    height: 14px;
    border: var(--line) solid var(--ink);
  }
  /* On a phone each test is a slip of two lines: what it is, and what came of it. */
  @media (max-width: 640px) {
    .log :global(thead) {
      position: absolute;
      clip-path: inset(50%);
    }
    .log :global(tr[data-index]) {
      display: grid;
      grid-template-columns: 4.4rem 1fr auto;
      gap: var(--spacing-1) var(--spacing-4);
      padding: var(--spacing-3) 0;
      border-bottom: var(--line) solid var(--hair);
    }
    .log :global(tbody tr td) {
      border: 0;
      padding: 0;
    }
    .log :global(.jar) {
      grid-row: span 2;
    }
    .log :global(tr:has(.pick)) {
      grid-template-columns: 3rem 4.4rem 1fr;
    }
    .log :global(.pick) {
      grid-row: span 2;
    }
    .log :global(tr:has(.pick) .sample) {
      grid-column: 3 / -1;
    }
    .log :global(tr:has(.pick) .class) {
      grid-area: 2 / 3;
    }
    .log :global(tr:has(.pick) .bar) {
      display: none;
    }
    .log :global(:is(.sample, .act)) {
      grid-column: 2 / -1;
    }
    .log :global(.class) {
      grid-area: 2 / 2;
    }
    .log :global(.bar) {
      grid-area: 2 / 3;
      text-align: right;
    }
  }
</style>
