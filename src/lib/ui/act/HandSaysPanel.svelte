<!-- @component What hand and spade say of the ground of a sample, and where that and the figures part. -->
<script lang="ts">
  import { HAND_SAYS, handAgainst, type BedFigures, type HandSays } from '$lib/core';
  import { record } from '$lib/browser/actions';
  import { t } from '$lib/words';

  type Props = {
    sampleId: string;
    says: readonly HandSays[];
    figures: BedFigures;
    /** Percent. */
    silt: number;
  };
  let { sampleId, says, figures, silt }: Props = $props();

  const parts = $derived(handAgainst(says, figures, silt));
  const toggle = (one: HandSays, on: boolean) =>
    record(
      'sample.hand',
      { sampleId, hand: HAND_SAYS.filter((h) => (h === one ? on : says.includes(h))) },
      t.act.hand.kept
    );
</script>

<section aria-label={t.act.hand.title} class="print:text-sm" class:no-print={parts.length === 0}>
  <h2>{t.act.hand.title}</h2>
  <p class="faded small no-print">{t.act.hand.lead}</p>
  <div class="flex flex-wrap gap-x-6 no-print">
    {#each HAND_SAYS as one (one)}
      <label class="flex items-center gap-2 min-h-touch">
        <input
          type="checkbox"
          class="checkbox"
          checked={says.includes(one)}
          onchange={(e) => toggle(one, e.currentTarget.checked)}
        />
        {t.act.hand.says[one]}
      </label>
    {/each}
  </div>
  {#each parts as { says: one, reason } (one)}
    <p class="mt-2 max-w-[46rem]">
      <strong>{t.act.hand.part(t.act.hand.says[one])}</strong>
      {t.act.hand.reason[reason]}
    </p>
  {:else}
    {#if says.length > 0}<p class="mt-2">{t.act.hand.agree}</p>{/if}
  {/each}
</section>
