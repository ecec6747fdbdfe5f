<!-- @component The answer of a jar: shares and class by mass with its chance, heights as read beside it, and why. -->
<script lang="ts">
  import {
    misfitOf,
    notKnownYet,
    verdictOf,
    type Help,
    type JarAnswer,
    type ReadingDoubt,
    type TextureResult
  } from '$lib/core';
  import { t } from '$lib/words';
  import type { Format } from '$lib/words/format';
  import { answerChance, answerHeadline, asReadText } from '$lib/words/headline';
  import Doubts from './Doubts.svelte';
  import Helps from './Helps.svelte';
  import Why from './Why.svelte';
  import { evidenceName, fitName } from './names';

  type Props = {
    answer: JarAnswer;
    /** The heights it was read by. */
    read: TextureResult;
    doubts?: readonly ReadingDoubt[];
    /** It is not worked out to the end yet. */
    pending?: boolean;
    /** What would make it surer. */
    helps?: readonly Help[];
    format: Format;
  };
  let { answer, read, doubts = [], pending = false, helps = [], format }: Props = $props();

  const errors = $derived({
    sand: Math.round(answer.sd.sand),
    silt: Math.round(answer.sd.silt),
    clay: Math.round(answer.sd.clay)
  });
  const verdict = $derived(verdictOf(answer));
  const misfit = $derived(misfitOf(answer.fit));
  const troubles = $derived(
    answer.strands.flatMap(({ evidence }) => (evidence.kind === 'trouble' ? [evidenceName(evidence)] : []))
  );
</script>

<section class="grid gap-3" aria-label={t.answer.title}>
  <h2 class="text-base text-faded">{t.answer.title}</h2>
  <p
    class="head font-head text-2xl font-bold leading-[1.15]"
    data-testid="headline"
    aria-busy={pending}
    class:pending
  >
    {answerHeadline(answer)}
  </p>
  <Doubts {doubts} />
  <p data-testid="chance">
    {answerChance(answer)}
    {#if verdict.kind === 'unknown'}{t.answer.doMore[notKnownYet(answer)]}{/if}
  </p>
  {#if verdict.kind !== 'impossible'}<p>{t.answer.error(errors.sand, errors.silt, errors.clay)}</p>{/if}
  {#if troubles.length > 0}<p>{t.answer.less(troubles.join(', '))}</p>{/if}
  {#if misfit}<p class="pl-4 border-l-3 border-alarm">{t.answer.misfit(fitName(misfit))}</p>{/if}
  {#if !answer.settled && !pending}<p class="pl-4 border-l-3 border-alarm">{t.answer.unsettled}</p>{/if}
  <p class="faded" data-testid="as-read">{asReadText(read.fractions)}</p>
  <Helps {helps} />
  <Why {answer} {format} />
</section>

<style>
  .head.pending {
    color: var(--faded);
  }
</style>
