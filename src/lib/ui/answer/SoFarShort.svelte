<!-- @component What a jar on the shelf says so far, in two short lines that keep their place while it is worked out. -->
<script lang="ts">
  import { formatDuration } from '$lib/core';
  import { toEarlyEstimate, type JarFacts } from '$lib/contract/evidence';
  import type { RunRecord } from '$lib/contract/records/run';
  import { t } from '$lib/words';
  import { chanceText, soFarShort } from '$lib/words/headline';
  import { earlyAnswer } from './early.svelte';

  let props: { jar: JarFacts; run: RunRecord } = $props();

  const early = earlyAnswer(() => toEarlyEstimate(props.jar, props.run));
  const help = $derived(early.helps.at(0));
</script>

{#if early.asked}
  <p class="text-xs leading-[1.3] mt-3 max-w-[14rem]" data-testid="so-far-short">
    {early.answer ? soFarShort(early.answer) : t.answer.working}<br />
    <span class="text-faded"
      >{#if help}{t.answer.helpShort[help.kind](
          help.waits ? t.answer.helpAt(formatDuration(help.atS)) : '',
          chanceText(help.then)
        )}{:else}&nbsp;{/if}</span
    >
  </p>
{/if}
