<!-- @component What a jar asks for before it is set: fill heights on the glass, amounts, and what its marks will cut. -->
<script lang="ts">
  import DataTable from '../kit/DataTable.svelte';
  import type { Snippet } from 'svelte';
  import { formatDuration, methodCuts, type RunMethod, type Vessel } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { cutText } from '$lib/words/steps';
  import { t } from '$lib/words';
  import { drawnSizeMm } from '../vessel/outline';
  import VesselDrawing from '../vessel/VesselDrawing.svelte';
  import CutWorking from './CutWorking.svelte';
  import { fillWords, heightIn, tapeIn } from './amounts';
  import { jarOf, type SetAnswer } from './form';

  type Props = {
    answer: SetAnswer;
    method: RunMethod;
    vessel: Vessel | undefined;
    code: string;
    format: Format;
    /** What to do with the answer. */
    children: Snippet;
  };
  let { answer, method, vessel, code, format, children }: Props = $props();

  const scale = $derived(vessel ? Math.min(1.75, 290 / drawnSizeMm(vessel).heightMm) : 1);
  /** Heights that can be filled to; undefined while one of them cannot. */
  const filled = $derived.by(() => {
    const { soilMm, waterMm, errors } = answer;
    if (soilMm === undefined || waterMm === undefined || errors.soilMm || errors.waterMm) return undefined;
    return { soilMm, waterMm };
  });
  const percent = (n: number) => t.common.percent(Math.round(n));
  /** What an instrument's readings cut, at a usual depth of the bulb. */
  const readings = $derived.by(() => {
    const jar = jarOf(answer);
    return method.readings && jar ? methodCuts(method, jar).filter((cut) => cut.how === 'reading') : [];
  });
  const tapes = $derived([
    {
      key: 'soil',
      label: vessel ? tapeIn(vessel, answer.soilMm ?? 0, format) : '',
      heightMm: answer.soilMm ?? 0,
      state: 'on' as const
    },
    {
      key: 'water',
      label: vessel ? tapeIn(vessel, answer.waterMm ?? 0, format) : '',
      heightMm: answer.waterMm ?? 0,
      state: 'on' as const
    }
  ]);
</script>

{#snippet layerName(mark: { layer: keyof typeof t.layer })}
  <span class="swatch {mark.layer}" aria-hidden="true"></span>{t.layer[mark.layer]}
{/snippet}

<section aria-label={t.set.answer} aria-live="polite">
  <div class="flex gap-6 items-end mb-5 min-h-[300px] max-sm:gap-4 max-sm:items-center">
    {#if vessel && filled}
      <div class="flex-none">
        <VesselDrawing
          {vessel}
          {scale}
          {code}
          soilMm={filled.soilMm}
          waterMm={filled.waterMm}
          {tapes}
          lid={false}
          tapeRoom={64}
        />
      </div>
    {/if}
    <div class="pb-2">
      {#if method.fill.soilG !== undefined && vessel && filled}
        <p class="big">{t.cylinder.set.soil(method.fill.soilG)},</p>
        <p class="big">{t.cylinder.set.dose(method.dispersant.mlPerL, method.dispersant.note)},</p>
        <p class="big">{t.cylinder.set.water(method.fill.waterLineMl ?? 1000)}.</p>
      {:else if vessel && filled && answer.plan}
        {@const fill = fillWords(method, vessel, filled.soilMm, filled.waterMm, format)}
        <p class="big">{fill.soil},</p>
        <p class="big">
          {method.fill.water === 'equal'
            ? fill.water
            : t.set.answerWater(
                heightIn(vessel, filled.waterMm, format),
                format.volume(answer.plan.waterMl)
              )},
        </p>
        <p class="big">
          {answer.plan.dispersantMl > 0
            ? t.set.answerDose(format.dose(answer.plan.dispersantMl), method.dispersant.note)
            : t.set.answerNoDose}.
        </p>
      {/if}
      {#each method.fill.soilG === undefined ? answer.doubts : [] as doubt (doubt.kind)}
        <p class="mt-3 pl-4 border-l-3 border-alarm text-base leading-[1.35]">
          {doubt.kind === 'too-full'
            ? t.set.doubtFull(percent(doubt.soilSharePct), percent(doubt.speedPct))
            : t.set.doubtThin(format.length(doubt.settledMm))}
        </p>
      {/each}
      {#if method.dispersant.mlPerL === 0}<p
          class="mt-3 pl-4 border-l-3 border-alarm text-base leading-[1.35]"
        >
          {t.set.doubtDose}
        </p>{/if}
      {@render children()}
    </div>
  </div>

  {#if answer.report && method.readings && answer.waterMm !== undefined}
    <h2 class="mt-5 mb-1 text-lg">{t.cylinder.set.readings}</h2>
    <DataTable
      rows={readings}
      key={(_, i) => String(i)}
      columns={[
        {
          id: 'no',
          namesRow: true,
          class: 'text-ink text-base font-semibold whitespace-nowrap',
          text: (_, i) => String(i + 1)
        },
        { id: 'at', text: (reading) => formatDuration(reading.atS) },
        { id: 'cuts', class: 'faded', text: (reading) => t.set.cuts(cutText(reading.cutUm)) }
      ]}
    />
    <p class="faded small mt-3">{t.cylinder.set.usual}</p>
  {:else if answer.report}
    <h2 class="mt-5 mb-1 text-lg">{t.set.marksTitle}</h2>
    {#if method.marks.length === 0}
      <p>{t.set.noMarks(method.end.note)}</p>
    {:else}
      <DataTable
        rows={answer.report.marks}
        key={(mark) => mark.layer}
        columns={[
          {
            id: 'layer',
            namesRow: true,
            class: 'text-ink text-base font-semibold whitespace-nowrap',
            cell: layerName
          },
          {
            id: 'at',
            text: (mark) =>
              mark.untilS
                ? t.set.markWindow(formatDuration(mark.atS), formatDuration(mark.untilS))
                : t.set.markAt(formatDuration(mark.atS))
          },
          { id: 'cuts', class: 'faded', text: (mark) => t.set.cuts(cutText(mark.cutUm)) }
        ]}
      />
    {/if}
    <h2 class="mt-5 mb-1 text-lg">{t.set.trueTitle}</h2>
    <DataTable
      rows={answer.report.trueMarks}
      key={(mark) => String(mark.diameterUm)}
      columns={[
        {
          id: 'size',
          namesRow: true,
          text: (mark) => t.set.trueMark(mark.diameterUm, formatDuration(mark.atS))
        },
        { id: 'what', class: 'faded', text: (_, i) => (i === 0 ? t.set.trueSand : t.set.trueSilt) }
      ]}
    />
    <p class="faded small mt-3">{t.set.crowd(percent(answer.report.startSpeedPct))}</p>
    {#if filled && answer.tempC !== undefined}
      <CutWorking report={answer.report} tempC={answer.tempC} {...filled} {format} />
    {/if}
  {/if}
</section>

<style>
  .big {
    font: 600 var(--text-xl)/1.35 var(--face-head);
  }
  .swatch {
    display: inline-block;
    width: 14px;
    height: 14px;
    margin-right: var(--spacing-3);
    vertical-align: -1px;
    border: var(--line) solid var(--ink);
  }
  .swatch.sand {
    background: var(--sand);
  }
  .swatch.silt {
    background: var(--silt);
  }
  .swatch.clay {
    background: var(--clay);
  }
  @media (max-width: 640px) {
    .big {
      font-size: var(--text-base);
    }
  }
</style>
