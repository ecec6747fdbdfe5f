<!-- @component A calculation that somebody typed, line by line, with what slipped beside the line it slipped in. -->
<script lang="ts">
  import { checkCalculation, type Measured } from '$lib/core';
  import { t } from '$lib/words';

  type Props = { measured: Measured; text: string };
  let { measured, text }: Props = $props();
  const w = t.lessons.sums;
  const checked = $derived(checkCalculation(measured, text));
  const lost = $derived(
    checked.lost.map((one) =>
      'part' in one ? w.lostFor[one.why](one.points, t.layer[one.part]) : w.lostFor[one.why](one.points)
    )
  );
</script>

<ol class="plain-list">
  {#each checked.lines as line, i (i)}
    <li class="grid grid-cols-[1.4rem_minmax(0,1fr)] gap-x-2 py-1">
      <b class:wrong={line.verdict === 'slip'} aria-hidden="true"
        >{line.verdict === 'slip' ? '✗' : line.verdict === 'unread' ? '·' : '✓'}</b
      >
      <span>
        <span class="tabular-nums">{line.text}</span>
        <span class="block small" class:wrong={line.verdict === 'slip'} class:faded={line.verdict !== 'slip'}>
          {#if line.slip}{w.slips[line.slip]}{line.should === undefined ? '' : w.should(line.should)}
          {:else if line.verdict === 'carried'}{w.carried}
          {:else if line.verdict === 'unread'}{w.unread}
          {:else}{w.right}{/if}
        </span>
      </span>
    </li>
  {/each}
</ol>
{#if lost.length > 0}<p class="small mt-2">{w.lost} {lost.join('; ')}.</p>{/if}
