<!-- @component What the soil under the pointer, or the one in hand, is called: class, chance, shares, and whose it is. -->
<script lang="ts">
  import { classifyTexture, roundShares, type Fractions, type SystemId, type Verdict } from '$lib/core';
  import { t } from '$lib/words';
  import { classParts, className } from '$lib/words/headline';
  import { movedWords } from './typed';

  type Props = {
    system: SystemId;
    /** The soil that is shown. */
    shown?: Fractions;
    /** Set while it is one under the pointer: a test's code, or none. */
    hovered?: { code?: string };
    /** The test in hand, its shares as it stands, and its soil as it was dragged or typed. */
    chosen: { id: string; code: string; sampleName: string } | null | undefined;
    stands?: Fractions;
    whatIf?: Fractions;
    /** What the test in hand comes to under the system. */
    verdict?: Verdict;
    /** What is said while nothing is shown. */
    lead: string;
  };
  let { system, shown, hovered, chosen, stands, whatIf, verdict, lead }: Props = $props();

  const here = $derived(shown && classifyTexture(system, shown));
  /** As in every list: one class, one of two, or none yet. Of what lies under the pointer there is no chance. */
  const parts = $derived(
    here && (verdict && !hovered ? classParts(here.name, null, verdict) : [className(system, here.name), ''])
  );
  const shares = $derived(shown ? roundShares([shown.sand, shown.silt, shown.clay]) : undefined);
</script>

<div class="min-h-[6.6rem]" aria-live="polite">
  {#if shown && parts && shares}
    <p class="class font-head text-3xl font-[680] leading-[1.15]">
      {t.know.headline(parts[0])}{parts[1]}
    </p>
    <p class="text-lg font-semibold">
      {t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}
    </p>
    <p class="faded">
      {#if hovered}{hovered.code ?? ' '}
      {:else if whatIf && chosen}{t.know.whatIfOf(chosen.code)}: {stands ? movedWords(stands, whatIf) : ''}
      {:else if whatIf}{t.know.typed}
      {:else if chosen}<a class="link ink" href="/tests/{chosen.id}">{t.know.toTest(chosen.code)}</a>, {chosen.sampleName}{/if}
    </p>
  {:else}
    <p class="class faded font-head leading-[1.15] text-xl font-[550]">
      {lead}
    </p>
  {/if}
</div>
