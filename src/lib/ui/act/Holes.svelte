<!-- @component The drainage holes of an area, cut open side by side, and what they say beside the texture. -->
<script lang="ts">
  import { holeAgainstTexture, type GroundDrainage, formatInchRate, formatRate } from '$lib/core';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import { viewHole, waterNow } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import HoleDrawing from '../hole/HoleDrawing.svelte';

  type Props = {
    holes: readonly HoleRecord[];
    /** What they say together. */
    ground?: GroundDrainage;
    /** What the texture promises, mm/h, and by which test. */
    textureMmH: number;
    code: string;
    format: Format;
    now: number;
  };
  let { holes, ground, textureMmH, code, format, now }: Props = $props();

  const views = $derived(holes.map((hole) => viewHole(hole, now)));
</script>

<section aria-label={t.hole.plural} class="print:text-xs print:leading-tight">
  <h2>{t.hole.beside}</h2>
  {#if ground}
    <p class="text-lg print:text-xs mt-1 max-w-[46rem]">
      {t.hole.texture[holeAgainstTexture(ground.mmH, textureMmH)](code, formatRate(textureMmH))}
    </p>
    {#if ground.parts}<p class="mt-1">{t.hole.besideMany(formatRate(ground.parts))}</p>{/if}
  {/if}
  <ul class="plain-list flex flex-wrap items-start gap-x-8 gap-y-5 mt-4 print:mt-1 print:gap-x-5">
    {#each views as view (view.hole.id)}
      {@const { hole, outcome, step } = view}
      <li class="hole">
        <HoleDrawing
          code={hole.code}
          depthMm={hole.depth.mm}
          widthMm={hole.width.mm}
          waterMm={waterNow(view, now)}
          {format}
          small
        />
        <p>
          <a class="link font-bold" href="/holes/{hole.id}">{hole.code}</a>
          {#if outcome}
            {(outcome.kind === 'measured' ? t.hole.result : t.hole.atMost)[outcome.drainage.class]}
          {:else}{step ? t.hole.step[step.kind] : t.hole.nothing}{/if}
        </p>
        {#if outcome}
          {@const measured = outcome.kind === 'measured'}
          <p class="small">
            {(measured ? t.hole.drop : t.hole.dropAtMost)(
              formatRate(outcome.drainage.dropMmH),
              formatInchRate(outcome.drainage.dropMmH)
            )}
            {(measured ? t.hole.groundShort : t.hole.groundShortAtMost)(
              formatRate(outcome.drainage.groundMmH)
            )}
          </p>
        {/if}
        {#if hole.refilledAt !== null && hole.soakedAt === null}
          <p class="small font-bold">{t.hole.unsoakedShort}</p>
        {/if}
      </li>
    {/each}
  </ul>
</section>

<style>
  .hole {
    display: grid;
    align-content: start;
    gap: var(--spacing-1);
    width: 15rem;
  }
  /* On paper the drawing stands small beside its words. */
  @media print {
    .hole {
      grid-template-columns: 4rem 1fr;
      column-gap: var(--spacing-3);
    }
    .hole > :global(svg) {
      grid-row: span 3;
    }
  }
</style>
