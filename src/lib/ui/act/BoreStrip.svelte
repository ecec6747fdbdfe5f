<!--
  @component Several bottles along one bore: the sand share by distance, with how far each may be off, over the line between
  clay and sandy ground.
-->
<script lang="ts">
  import { scaleLinear } from 'd3-scale';
  import { judgeBore, type Figures } from '$lib/core';
  import { alongText, LONGEST_M, MOST_STATIONS, type Station } from '$lib/contract/act';
  import { t } from '$lib/words';
  import { chanceText, wholeShares } from '$lib/words/headline';
  import { judgedBy, type KnownSoil } from '$lib/workbench/judged-by';
  import Field from '../fields/Field.svelte';
  import PickOptions from '../fields/PickOptions.svelte';
  import { readNumber } from '$lib/workbench/entry/figure';
  import Axis from '../kit/Axis.svelte';

  type Props = {
    stations: readonly (Station & { code: string; known: KnownSoil })[];
    tests: readonly { id: string; code: string; name: string }[];
    /** Where the tests of this area were dug, along its long axis; empty where spots do not tell. */
    byAxis?: readonly Station[];
    /** The line, and how near to it is near. */
    figures: Pick<Figures, 'boreLinePct' | 'boreNearPoints'>;
    /** Told of the stations as an address holds them. */
    onchange: (along: string) => void;
  };
  let { stations, tests, byAxis = [], figures, onchange }: Props = $props();
  const line = $derived(figures.boreLinePct);

  let picked = $state('');
  let metres = $state('');
  let wrong = $state<{ test?: string; at?: string }>({});

  const shown = $derived(
    stations.flatMap(({ id, atM, code, known }) => {
      const soil = judgedBy(known, id)?.bore;
      if (!soil) return [];
      const bore = judgeBore(soil, figures);
      return [{ id, atM, code, bore, sand: wholeShares(soil.fractions).sand }];
    })
  );
  const [LEFT, RIGHT, TOP, FOOT] = [56, 780, 16, 190];
  const x = $derived.by(() => {
    const places = shown.map((s) => s.atM);
    const [from, to] = [Math.min(0, ...places), Math.max(1, ...places)];
    return scaleLinear([from, to], [LEFT + 30, RIGHT - 30]);
  });
  const y = scaleLinear([0, 100], [FOOT, TOP]);

  function add(event: SubmitEvent) {
    event.preventDefault();
    const atM = readNumber(metres);
    wrong = {
      test:
        picked === '' ? t.act.bore.choose : stations.length >= MOST_STATIONS ? t.act.bore.full : undefined,
      at: atM >= 0 && atM <= LONGEST_M ? undefined : t.act.bore.atWrong
    };
    if (wrong.test || wrong.at) return;
    onchange(alongText([...stations, { id: picked, atM }]));
    picked = '';
    metres = '';
  }
  const takeOff = (at: number) => onchange(alongText(stations.filter((_, i) => i !== at)));
</script>

<section aria-label={t.act.bore.strip}>
  <h2>{t.act.bore.strip}</h2>
  {#if shown.length > 0}
    <svg
      viewBox="0 0 800 232"
      class="block w-full max-w-[900px] mt-2"
      role="img"
      aria-label={t.act.bore.drawing(shown.length)}
    >
      <rect
        x={LEFT}
        y={y(line)}
        width={RIGHT - LEFT}
        height={FOOT - y(line)}
        fill="url(#grain-clay)"
        opacity="0.25"
      />
      <rect
        x={LEFT}
        y={TOP}
        width={RIGHT - LEFT}
        height={y(line) - TOP}
        fill="url(#grain-sand)"
        opacity="0.3"
      />
      <path d="M{LEFT} {y(line)}H{RIGHT}" class="line" />
      <Axis side="left" line={LEFT} ticks={[0, line, 100].map((share) => ({ at: y(share), label: share }))} />
      <Axis
        side="bottom"
        line={FOOT}
        away={18}
        ticks={x.ticks(6).map((m) => ({ at: x(m), label: m }))}
        unit="m"
      />
      <polyline points={shown.map((s) => `${x(s.atM)},${y(s.bore.sand)}`).join(' ')} class="way" />
      {#each shown as s, i (`${s.id} ${i}`)}
        <path
          d="M{x(s.atM)} {y(s.bore.lowSand)}V{y(s.bore.highSand)}m-5 0h10m-5 {y(s.bore.lowSand) -
            y(s.bore.highSand)}m-5 0h10"
          class="range"
        />
        <circle cx={x(s.atM)} cy={y(s.bore.sand)} r="6" class="dot" />
        <text x={x(s.atM) + 11} y={y(s.bore.sand) + 5} class="code">{s.code}</text>
      {/each}
    </svg>
    <ul class="plain-list">
      {#each shown as s, i (`${s.id} ${i}`)}
        <li>
          {t.act.bore.say(
            s.code,
            `${s.atM} m`,
            t.common.percent(s.sand),
            chanceText(s.bore.chance),
            t.act.bore.plan[s.bore.plan]
          )}
          <button type="button" class="link small no-print min-h-[32px]" onclick={() => takeOff(i)}
            >{t.act.bore.off(s.code)}</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  <form class="no-print flex flex-wrap items-start gap-x-5 gap-y-3 mt-3" onsubmit={add} novalidate>
    <Field label={t.act.bore.station} error={wrong.test}>
      {#snippet children(at)}
        <select {...at} class="select min-w-[14rem]" bind:value={picked}>
          <option value=""></option>
          <PickOptions of={tests} />
        </select>
      {/snippet}
    </Field>
    <Field label={t.act.bore.at} error={wrong.at}>
      {#snippet children(at)}<input
          {...at}
          class="input w-[10rem]"
          inputmode="decimal"
          bind:value={metres}
        />{/snippet}
    </Field>
    <button type="submit" class="btn btn-secondary mt-6">{t.act.bore.add}</button>
    {#if byAxis.length > 0}
      <button
        type="button"
        class="btn btn-secondary mt-6"
        onclick={() => onchange(alongText(byAxis.slice(0, MOST_STATIONS)))}>{t.act.bore.byAxis}</button
      >
    {/if}
  </form>
</section>

<style>
  .line {
    stroke: var(--ink);
    stroke-width: 1.6;
    stroke-dasharray: 6 5;
  }
  .way {
    fill: none;
    stroke: var(--faded);
    stroke-width: 1.4;
  }
  .range {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }
  .dot {
    fill: var(--label);
    stroke: var(--ink);
    stroke-width: 2.4;
  }
  .code {
    fill: var(--ink);
    font: 700 var(--text-xs) var(--face-text);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
  @media (max-width: 640px) {
    svg {
      --axis-type: 24px;
    }
    .code {
      font-size: var(--text-2xl);
    }
  }
</style>
