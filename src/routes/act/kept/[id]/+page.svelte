<script lang="ts">
  import { formatRate } from '$lib/core';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { offerUndo, problemText } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { sayProblem } from '$lib/browser/toasts';
  import { basisOf } from '$lib/ui/act/acting.svelte';
  import BedVerdict from '$lib/ui/act/BedVerdict.svelte';
  import SedimentColumn from '$lib/ui/know/SedimentColumn.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import WallTable from '$lib/ui/act/WallTable.svelte';
  import { blendKept, noBlendKept, wallFacts } from '$lib/words/wall';
  import { keptLine } from '$lib/words/verdict';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const judgement = $derived(data.judgement);
  const { kept } = $derived(judgement);
  const cautions = { bed: t.act.caution, bore: t.act.bore.caution, wall: t.wall.caution };

  async function remove() {
    try {
      const sent = await send('judgement.remove', { judgementId: judgement.id });
      offerUndo(sent, t.act.keptGone);
      await goto(`/act?${judgement.query}`);
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

<div class="pt-5 grid gap-6">
  <div>
    <h1 class="text-lg text-faded">
      {judgement.code ? `${judgement.code} · ${judgement.sampleName}` : t.act.ofTyped}
    </h1>
    <p class="faded small">{t.act.keptOn(format.full(judgement.createdAt))}</p>
  </div>
  <div>
    {#if kept.ask === 'bed'}
      <BedVerdict judged={kept} />
      <p class="faded small mt-4">{t.act.keptHow(kept.profile.version)}</p>
    {:else}
      <p class="font-head text-2xl font-[650] leading-[1.2] max-w-[46rem]" data-testid="act-verdict">
        {keptLine(kept)}
      </p>
      {#if kept.ask === 'bore'}<p class="text-lg mt-4 max-w-[34rem]">
          {t.act.bore.fluid[kept.verdict.plan]}
        </p>{/if}
    {/if}
  </div>
  {#if kept.ask === 'wall'}
    <WallTable said={kept.said} signs={kept.signs} />
    {#if kept.noBlend}<p class="text-lg">{noBlendKept(kept.noBlend)}</p>{/if}
    {#if kept.blend}
      <p class="text-lg">{blendKept(kept.blend)}</p>
    {/if}
  {/if}
  <div class="flex flex-wrap gap-7 items-center">
    {#if !kept.onlySand && !kept.onlyClay}<SedimentColumn
        fractions={kept.soil}
        width={112}
        height={220}
        label={t.act.soilKept}
      />{/if}
    <div class="grid gap-2">
      <h2 class="text-lg">{t.act.soilKept}</h2>
      <p>{basisOf(kept, format, kept.source ?? judgement.code ?? undefined)}</p>
      {#if kept.ask === 'wall'}
        <p>{wallFacts(kept.facts, kept.signs)}</p>
      {/if}
      {#if kept.by}<p>{t.act.figuresKept(kept.by.name, kept.by.version)}</p>{/if}
      {#if kept.ask === 'bed'}
        <p>{t.act.organicKept(String(kept.organic.pct), kept.organic.sd === 0)}</p>
        {#if kept.ground}<p>{t.act.groundKept(formatRate(kept.ground.mmH), kept.ground.holes)}</p>{/if}
      {/if}
      <p class="flex flex-wrap gap-4 no-print mt-2">
        <a class="btn btn-secondary" href="/act?{judgement.query}">{t.act.anew}</a>
        <button type="button" class="btn btn-secondary" onclick={remove}>{t.act.keptOff}</button>
      </p>
    </div>
  </div>
  <p class="caution small">{cautions[kept.ask]}</p>
</div>
