<!-- @component A mix as it was promised, beside what a jar of it read: two columns on one scale, and whether they agree. -->
<script lang="ts">
  import type { SampleMix } from '$lib/contract/records/sample';
  import type { Promised } from '$lib/workbench/promise';
  import { t } from '$lib/words';
  import SedimentColumn from '../know/SedimentColumn.svelte';

  type Props = {
    mix: SampleMix;
    /** Jars of it that are finished. */
    jars: readonly { id: string; code: string; beside: Promised }[];
  };
  let { mix, jars }: Props = $props();

  const PARTS = ['sand', 'silt', 'clay'] as const;
  const signed = (x: number) => `${x < 0 ? '−' : '+'}${Math.abs(x).toFixed(0)}`;
</script>

<section aria-label={t.wall.blend.promised}>
  <h2 class="text-lg">{t.wall.blend.promised}</h2>
  <p>
    {mix.parts.map(({ name, buckets }) => t.wall.blend.buckets(buckets, name)).join(', ')}.
    {t.wall.blend.promisedFor(mix.technique, t.wall.on[mix.on])}
    {#if mix.query}<a class="link no-print" href="/act?{mix.query}">{t.wall.blend.title}</a>{/if}
  </p>
  <div class="flex flex-wrap gap-8 items-start mt-3">
    <div>
      <SedimentColumn fractions={mix.shares} width={96} height={190} label={t.wall.blend.promised} />
      <p class="small mt-1">{t.wall.blend.promised}</p>
    </div>
    {#each jars as { id, code, beside } (id)}
      <div class="max-w-[15rem]">
        <SedimentColumn fractions={beside.read} width={96} height={190} label={t.wall.blend.read(code)} />
        <p class="small mt-1"><a class="link" href="/tests/{id}">{t.wall.blend.read(code)}</a></p>
        <p class="small num">
          {PARTS.map((part) => t.wall.blend.points(t.layer[part], signed(beside.points[part]))).join(', ')}
        </p>
        <p class="font-bold">{t.wall.blend.offBy[beside.within ? 'within' : 'outside']}</p>
      </div>
    {:else}
      <p class="faded">{t.wall.blend.promiseWaits}</p>
    {/each}
  </div>
</section>
