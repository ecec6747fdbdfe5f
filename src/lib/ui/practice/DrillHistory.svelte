<!-- @component What a learner has tried: a line a drill, its level as rungs, its last scores as strokes. -->
<script lang="ts">
  import { gradeOf, historyOf, LEVELS, type DrillHistory, type DrillKey, type Try } from '$lib/core';
  import { t } from '$lib/words';

  type Props = { tries: readonly Try[]; now?: DrillKey };
  let { tries, now }: Props = $props();
  const w = t.drills;
  const rows = $derived(historyOf(tries));
  const said = (row: DrillHistory) =>
    row.tries === 0 ? '' : `${w.level(row.level)}, ${w.tried(row.tries)}, ${w.mean(row.meanPoints)}`;
</script>

<ul class="plain-list grid gap-0">
  {#each rows as row (row.key)}
    <li
      class="grid grid-cols-[minmax(0,1fr)_62px_92px] gap-x-4 items-center py-2"
      class:here={row.key === now}
    >
      <span class="leading-[1.2]">{w.names[row.key]}<span class="sr-only"> {said(row)}</span></span>
      <span class="flex gap-1 items-end" aria-hidden="true">
        {#each { length: LEVELS } as _, i (i)}
          <i class="rung" class:on={row.tries > 0 && i < row.level} style:height="{7 + 3 * i}px"></i>
        {/each}
      </span>
      <span class="flex gap-1 items-end h-[24px]" aria-hidden="true">
        {#each row.lastPoints as points, i (i)}
          <i class="stroke {gradeOf(points)}" style:height="{4 + points / 5}px"></i>
        {/each}
      </span>
    </li>
  {/each}
</ul>

<style>
  li {
    border-bottom: var(--line) solid var(--hair);
  }
  .here {
    font-weight: 700;
  }
  .rung {
    width: 8px;
    background: var(--hair);
  }
  .rung.on {
    background: var(--ink);
  }
  .stroke {
    width: 5px;
    background: var(--ink);
  }
  .stroke.nearly {
    background: var(--rule);
  }
  .stroke.missed {
    background: var(--alarm);
  }
</style>
