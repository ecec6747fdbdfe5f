<!-- @component What the soil under the pointer, or the one in hand, is called: class, chance, shares, and whose it is. -->
<script lang="ts">
  import { classifyTexture, roundShares, type Fractions, type SystemId } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText, className } from '$lib/words/headline';
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
    /** Chance of the class of the test in hand. */
    chance?: number;
    /** What is said while nothing is shown. */
    lead: string;
  };
  let { system, shown, hovered, chosen, stands, whatIf, chance, lead }: Props = $props();

  const here = $derived(shown && classifyTexture(system, shown));
  const shares = $derived(shown ? roundShares([shown.sand, shown.silt, shown.clay]) : undefined);
</script>

<div class="min-h-[6.6rem]" aria-live="polite">
  {#if shown && here && shares}
    <p class="class font-head text-3xl font-[680] leading-[1.15]">
      {t.know.headline(className(system, here.name))}{#if chance !== undefined && !hovered}, {chanceText(
          chance
        )}{/if}
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
