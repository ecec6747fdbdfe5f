<!-- @component What would make an answer surer, the most helpful first, each with what it would bring. -->
<script lang="ts">
  import { formatDuration, type Help } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';

  let { helps }: { helps: readonly Help[] } = $props();
</script>

{#if helps.length > 0}
  <div>
    <h3 class="text-base mb-2">{t.answer.helps}</h3>
    <ol class="plain-list">
      {#each helps as help (help.kind + help.atS)}
        <li class="border-t border-hair py-2">
          <strong
            >{t.answer.help[help.kind](help.waits ? t.answer.helpAt(formatDuration(help.atS)) : '')}</strong
          >:
          {t.answer.brings(chanceText(help.now), chanceText(help.then))}
        </li>
      {/each}
    </ol>
  </div>
{/if}
