<!-- @component One soil of a folder as it is reported: verdict, windows, blend, trial pieces, and what is advised next. -->
<script lang="ts">
  import type { Figures } from '$lib/core';
  import type { FolderSoil, JudgedSoil } from '$lib/workbench/folder';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { blendKept, noBlendKept, wallVerdict } from '$lib/words/wall';
  import { judgedText } from '$lib/words/judged';
  import { mixLine, trialVerdict } from '$lib/words/trial';
  import MixPromise from '../sample/MixPromise.svelte';
  import TrialDrawing from '../trial/TrialDrawing.svelte';
  import Doubts from '../answer/Doubts.svelte';
  import WallTable from './WallTable.svelte';

  type Props = { soil: FolderSoil; judged: JudgedSoil; figures: Figures; format: Format };
  let { soil, judged, figures, format }: Props = $props();
  const { sample, theirs, test, kept } = $derived(soil);
  const { mix } = $derived(sample.details);
</script>

<section
  class="border-t-2 border-rule pt-4 print:pt-2 grid gap-3 print:gap-2 break-inside-avoid"
  id="soil-{sample.code}"
  aria-label={theirs || sample.code}
>
  <h2 class="text-xl">
    {#if theirs}<span class="num">{theirs}</span>{/if}
    <span class={theirs ? 'faded text-base font-normal' : ''}
      >{theirs ? t.folder.our(sample.code) : sample.code} · {sample.name}</span
    >
  </h2>
  {#if judged.said.length > 0}
    <p class="font-head text-2xl print:text-lg font-[650] leading-[1.2] max-w-[46rem]">
      {wallVerdict(judged.said, judged.signs)}
    </p>
    <p class="faded small">
      {#if judged.by}
        {judgedText(judged.by)}
      {/if}
      {#if test}<a class="link no-print" href="/act?test={test.id}&ask=wall">{test.code}</a>{/if}
      {#if kept}<a class="link no-print" href="/act/kept/{kept.id}"
          >{t.act.keptOn(format.day(kept.createdAt))}</a
        >{/if}
    </p>
    {#if judged.by}<Doubts doubts={judged.by.doubts} />{/if}
    <div class="print:text-xs"><WallTable said={judged.said} signs={judged.signs} /></div>
  {:else}<p class="text-lg">{t.folder.noTest}</p>{/if}
  {#if kept?.kept.blend}<p>{blendKept(kept.kept.blend)}</p>{/if}
  {#if kept?.kept.noBlend}<p>{noBlendKept(kept.kept.noBlend)}</p>{/if}
  {#if mix}
    <MixPromise
      {mix}
      jars={test && judged.promised ? [{ id: test.id, code: test.code, beside: judged.promised }] : []}
    />
  {/if}
  {#if judged.views.length > 0}
    <h3 class="font-head font-bold">{t.folder.pieces}</h3>
    <ul class="plain-list grid gap-2">
      {#each judged.views as view (view.trial.id)}
        <li
          class="grid grid-cols-[210px_minmax(0,1fr)] gap-5 items-center max-sm:grid-cols-1 print:grid-cols-[110px_minmax(0,1fr)]"
        >
          <TrialDrawing {view} small />
          <p>
            <a class="link font-bold" href="/trials/{view.trial.id}">{view.trial.code}</a>
            {t.trial.made(view.trial.count, view.trial.kind)}, {mixLine(view.trial)}:
            {trialVerdict(view.tells, figures, format) ??
              (view.step ? t.trial.short[view.step.kind] : t.trial.none)}
          </p>
        </li>
      {/each}
    </ul>
  {/if}
  <p class="text-lg border-l-3 border-pen pl-4">
    <strong>{t.folder.nextTitle}:</strong>
    {t.folder.next[judged.next]}
  </p>
</section>
