<!-- @component What a jar that still stands says so far, from its tapes and looks, and what would say more. -->
<script lang="ts">
  import { inkOf } from '$lib/core';
  import { toEarlyEstimate, type JarFacts } from '$lib/contract/evidence';
  import type { RunRecord } from '$lib/contract/records/run';
  import { t } from '$lib/words';
  import { answerChance, answerHeadline, wholeShares } from '$lib/words/headline';
  import Triangle from '../triangle/Triangle.svelte';
  import Helps from './Helps.svelte';
  import { earlyAnswer } from './early.svelte';

  let props: { jar: JarFacts; run: RunRecord } = $props();

  const early = earlyAnswer(() => toEarlyEstimate(props.jar, props.run));
  const answer = $derived(early.answer);
  const shares = $derived(answer && wholeShares(answer.fractions));
</script>

{#if answer && shares}
  <section
    class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-y-5 gap-x-8 items-start max-md:grid-cols-1"
    aria-label={t.answer.soFar}
  >
    <Triangle
      point={answer.fractions}
      classId={answer.class.id}
      probabilities={Object.fromEntries(answer.classes.map((c) => [c.id, c.probability]))}
      region={inkOf(answer)}
      label={t.result.triangle(answer.class.name, shares.sand, shares.silt, shares.clay)}
    />
    <div class="grid gap-3">
      <h2>{t.answer.soFar}</h2>
      <p class="font-head text-xl font-bold leading-[1.2]" data-testid="so-far">{answerHeadline(answer)}</p>
      <p>{answerChance(answer)}</p>
      <p class="faded small">{t.answer.soFarHint}</p>
      <Helps helps={early.helps} />
    </div>
  </section>
{/if}
