<!-- @component What a jar on the shelf says so far, in two short lines that keep their place while it is worked out. -->
<script lang="ts">
  import { formatDuration, verdictOf, type JarAnswer } from '$lib/core';
  import { EarlyWork } from '$lib/browser/work';
  import { toEarlyEstimate, type JarFacts } from '$lib/contract/evidence';
  import type { RunRecord } from '$lib/contract/records/run';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';

  let { jar, run }: { jar: JarFacts; run: RunRecord } = $props();

  const work = new EarlyWork();
  const input = $derived(toEarlyEstimate(jar, run));
  const asked = $derived(input && JSON.stringify(input));
  $effect(() => void work.ask(asked === undefined ? undefined : (JSON.parse(asked) as typeof input)));
  const known = $derived(input && work.answer);
  const help = $derived(known?.helps?.at(0));

  /** The likeliest class, for which the help is reckoned too. */
  function said(answer: JarAnswer): string {
    const { kind, first } = verdictOf(answer);
    return kind === 'one' || kind === 'two'
      ? `${first.name}, ${chanceText(first.probability)}`
      : t.answer.soFarNothing;
  }
</script>

{#if input && !work.problem}
  <p class="text-xs leading-[1.3] mt-3 max-w-[14rem]" data-testid="so-far-short">
    {known ? t.answer.soFarShort(said(known.answer)) : t.answer.working}<br />
    <span class="text-faded"
      >{#if help}{t.answer.helpShort[help.kind](
          help.waits ? t.answer.helpAt(formatDuration(help.atS)) : '',
          chanceText(help.then)
        )}{:else}&nbsp;{/if}</span
    >
  </p>
{/if}
