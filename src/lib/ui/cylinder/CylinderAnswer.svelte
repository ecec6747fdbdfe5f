<!-- @component The answer of a cylinder test: its point and region on the triangle, the shares, and what to doubt. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { cylinderDoubts, formatDuration, type CylinderInput, type WorkedCylinder } from '$lib/core';
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { JudgedCylinder } from '$lib/browser/work';
  import { t } from '$lib/words';
  import { wholeShares } from '$lib/words/headline';
  import { cutText } from '$lib/words/steps';
  import Triangle from '../triangle/Triangle.svelte';
  import CylinderOutcome from './CylinderOutcome.svelte';

  type Props = {
    jar: Pick<JarRecord, 'method' | 'dispersantMl'>;
    input: CylinderInput;
    worked: WorkedCylinder;
    /** Result with its chances and region, once they are drawn. */
    answer: JudgedCylinder;
    /** What can be done with it. */
    children: Snippet;
  };
  let { jar, input, worked, answer, children }: Props = $props();

  const shares = $derived(wholeShares(answer.result.fractions));
  const doubts = $derived(
    cylinderDoubts(input, worked, {
      asked: (jar.method.readings ?? []).map((r) => r.atS),
      dispersed: jar.dispersantMl > 0
    })
  );
</script>

<section
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-y-5 gap-x-8 items-center mt-3 max-md:grid-cols-1 print:grid-cols-[0.8fr_1fr]"
  aria-label={t.cylinder.result}
>
  <div class="max-w-[520px]">
    <Triangle
      point={answer.result.fractions}
      classId={answer.result.class.id}
      probabilities={Object.fromEntries(answer.result.classes.map((c) => [c.id, c.probability]))}
      region={answer.region}
      label={t.result.triangle(answer.result.class.name, shares.sand, shares.silt, shares.clay)}
    />
  </div>
  <div>
    <CylinderOutcome result={answer.result} />
    {#if doubts.length > 0}
      <h3>{t.cylinder.doubts}</h3>
      <ul class="doubts">
        {#each doubts as doubt (doubt.kind + ('no' in doubt ? doubt.no : ''))}<li
            class="border-l-3 border-tape-edge pl-3"
          >
            {t.cylinder.doubt(doubt)}
          </li>{/each}
      </ul>
    {/if}
    {#if input.scheme === 'two-point'}
      <p class="small faded">
        {t.cylinder.customary(
          answer.result.readings.map((r) => `${formatDuration(r.timeS)}: ${cutText(r.shownUm)} µm`).join('; ')
        )}
      </p>
    {/if}
    {@render children()}
  </div>
</section>

<style>
  .doubts {
    list-style: none;
    padding: 0;
    margin: var(--spacing-2) 0 var(--spacing-4);
    display: grid;
    gap: var(--spacing-2);
  }
</style>
