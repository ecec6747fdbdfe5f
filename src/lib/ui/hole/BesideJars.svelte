<!-- @component A hole beside the jars of its area: what their texture promises, and what a large difference means. -->
<script lang="ts">
  import { holeAgainstTexture, formatRate } from '$lib/core';
  import type { HoleView } from '$lib/workbench/holes';
  import { t } from '$lib/words';

  type Props = {
    view: HoleView;
    /** Finished tests of the area, with the conductivity that their texture promises, mm/h. */
    jars: readonly { id: string; code: string; textureMmH: number }[];
  };
  let { view, jars }: Props = $props();
  const groundMmH = $derived(view.outcome?.drainage.groundMmH);
</script>

{#if groundMmH !== undefined}
  <section aria-label={t.hole.textureTitle}>
    <h2 class="text-lg mt-4">{t.hole.textureTitle}</h2>
    {#each jars as jar (jar.id)}
      <p class="mt-1 max-w-[38rem]">
        {t.hole.texture[holeAgainstTexture(groundMmH, jar.textureMmH)](jar.code, formatRate(jar.textureMmH))}
      </p>
    {:else}
      <p class="faded">{t.hole.noJar}</p>
    {/each}
    {#if jars.length > 0}
      <p class="mt-2 no-print"><a class="btn btn-secondary" href="/act?test={jars[0].id}">{t.hole.act}</a></p>
    {/if}
  </section>
{/if}
