<!-- @component Tests as lines: jar, sample, method, when, fractions as a bar in sediment colours, class. -->
<script lang="ts">
  import { roundShares } from '$lib/core';
  import type { LogLine } from '$lib/contract/records/log';
  import type { Format } from '$lib/words/format';
  import { chanceText } from '$lib/words/headline';
  import { t } from '$lib/words';
  import type { Snippet } from 'svelte';

  type Props = { lines: LogLine[]; now: number; format: Format; action?: Snippet<[LogLine]> };
  let { lines, now, format, action }: Props = $props();

  const shares = (line: LogLine) => roundShares([line.sand ?? 0, line.silt ?? 0, line.clay ?? 0]);
</script>

<table class="plain">
  <thead>
    <tr>
      <th scope="col">{t.log.columns.code}</th>
      <th scope="col">{t.log.columns.sample}</th>
      <th scope="col" class="max-md:hidden">{t.log.columns.method}</th>
      <th scope="col" class="max-md:hidden">{t.log.columns.set}</th>
      <th scope="col">{t.log.columns.fractions}</th>
      <th scope="col">{t.log.columns.class}</th>
      {#if action}<th scope="col"><span class="sr-only">{t.log.restore}</span></th>{/if}
    </tr>
  </thead>
  <tbody>
    {#each lines as line (line.id)}
      <tr>
        <td class="jar"><a class="code" href="/tests/{line.id}">{line.code}</a></td>
        <td class="sample"><a class="link ink" href="/samples/{line.sampleId}">{line.sampleName}</a></td>
        <td class="faded max-md:hidden">{line.methodName}</td>
        <td class="faded max-md:hidden">{line.setDownAt ? format.when(line.setDownAt, now) : t.jar.notSet}</td
        >
        <td class="bar">
          {#if line.silt === null && (line.sand ?? line.clay) !== null}
            {@const layer = line.sand === null ? 'clay' : 'sand'}
            {@const pct = Math.round(line.sand ?? line.clay ?? 0)}
            <svg viewBox="0 0 120 14" preserveAspectRatio="none" aria-hidden="true">
              <rect width={pct * 1.2} height="14" fill="url(#grain-{layer})" />
            </svg>
            <span class="text-xs whitespace-nowrap"
              >{t.result.shareShort(t.common.percent(pct), t.layer[layer])}</span
            >
          {:else if line.sand !== null}
            {@const [sand, silt, clay] = shares(line)}
            <svg viewBox="0 0 120 14" preserveAspectRatio="none" aria-hidden="true">
              <rect width={sand * 1.2} height="14" fill="url(#grain-sand)" />
              <rect x={sand * 1.2} width={silt * 1.2} height="14" fill="url(#grain-silt)" />
              <rect x={(sand + silt) * 1.2} width={clay * 1.2} height="14" fill="url(#grain-clay)" />
            </svg>
            <span class="text-xs whitespace-nowrap">{sand} · {silt} · {clay}</span>
          {/if}
        </td>
        <td class="class">
          {#if line.class}
            <strong>{line.class}</strong><span class="faded"
              >{t.log.classChance(chanceText(line.probability))}</span
            >{#if line.doubtful}, <span class="wrong">{t.log.doubtful}</span>{/if}
          {:else if line.problem}
            <span class="wrong small">{t.log.unreadable(line.problem)}</span>
          {:else}
            <span class="faded">{t.status[line.status]}</span>
          {/if}
        </td>
        {#if action}<td class="num act">{@render action(line)}</td>{/if}
      </tr>
    {/each}
  </tbody>
</table>

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
  }
  .bar svg {
    display: block;
    width: 120px;
    height: 14px;
    border: var(--line) solid var(--ink);
  }
  /* On a phone each test is a slip of two lines: what it is, and what came of it. */
  @media (max-width: 640px) {
    thead {
      position: absolute;
      clip-path: inset(50%);
    }
    tr {
      display: grid;
      grid-template-columns: 4.4rem 1fr auto;
      gap: var(--spacing-1) var(--spacing-4);
      padding: var(--spacing-3) 0;
      border-bottom: var(--line) solid var(--hair);
    }
    tbody tr td {
      border: 0;
      padding: 0;
    }
    .jar {
      grid-row: span 2;
    }
    .sample {
      grid-column: 2 / -1;
    }
    .class {
      grid-column: 2;
      grid-row: 2;
    }
    .bar {
      grid-column: 3;
      grid-row: 2;
      text-align: right;
    }
    .act {
      grid-column: 2 / -1;
    }
  }
</style>
