<!--
  @component The vessel large beside a ruler. Each layer top has a strip of tape that is dragged, or moved with the
  arrow keys; tape not yet placed hangs dashed where the physics expects the line.
-->
<script lang="ts">
  import { draggable, keyStep } from '../kit/handle';
  import { formatLength, LINE_ORDER, type LineName, type Vessel } from '$lib/core';
  import { rulerTicks } from '../ruler/ticks';
  import { t } from '$lib/words';
  import { tapePath, waterline } from '../vessel/outline';
  import type { ReadingForm } from './form.svelte';

  type Props = {
    form: ReadingForm;
    vessel: Vessel;
    waterMm: number;
    /** Where the physics expects the tops, mm. */
    expected: Partial<Record<LineName, number>>;
    /** Drawn height of the window, px. */
    height?: number;
  };
  let { form, vessel, waterMm, expected, height = 600 }: Props = $props();

  const RULER = 66;
  const GLASS = 266;
  const id = $props.id();
  const STRIP = { width: 108, height: 27 };
  const TABLETOP = 5;
  const LEFT = RULER + 14;
  const RIGHT = LEFT + GLASS;
  const WIDTH = RIGHT + STRIP.width + 4;

  const tops = $derived(form.tops);
  const unit = $derived(form.fieldUnit);
  const highest = $derived.by(() => {
    const { surface: _, ...solid } = { ...expected, ...tops };
    return Math.max(20, ...Object.values(solid));
  });
  /** Height of the window, mm: the deposit in its lower two thirds, in whole tens. */
  const rangeMm = $derived(
    Math.min(Math.ceil(vessel.innerHeightMm / 10) * 10, Math.ceil((highest * 1.5) / 10) * 10)
  );
  /** The base is drawn as thick as it is: a ruler on the table starts below the soil. */
  const pxPerMm = $derived((height - TABLETOP - 8) / (rangeMm + form.baseMm));
  const y = $derived((mm: number) => height - TABLETOP - (mm + form.baseMm) * pxPerMm);
  const bottom = $derived(y(0));
  const table = $derived(y(-form.baseMm));
  const offsetMm = $derived(form.offsetMm);
  const ticks = $derived(
    rulerTicks(rangeMm + offsetMm, unit, form.mmPerMl).map((tick) => ({ ...tick, y: y(tick.mm - offsetMm) }))
  );

  const strata = $derived.by(() => {
    let below = 0;
    // Coarse sand is drawn as sand under its own line; the water's surface is no layer.
    return LINE_ORDER.filter((line) => line !== 'surface' && tops[line] !== undefined).map((layer) => {
      const fromMm = below;
      below = Math.max(below, tops[layer]!);
      return { layer, fromMm, topMm: below };
    });
  });
  const tapes = $derived.by(() => {
    const all = form.linesShown
      .filter((line) => line !== 'surface' || (tops.surface ?? 0) <= rangeMm)
      .map((layer) => ({
        layer,
        placed: tops[layer] !== undefined,
        mm: Math.min(tops[layer] ?? expected[layer] ?? 0, rangeMm)
      }));
    let floor = Infinity;
    return all
      .sort((a, b) => a.mm - b.mm || LINE_ORDER.indexOf(a.layer) - LINE_ORDER.indexOf(b.layer))
      .map((tape) => {
        const top = Math.min(y(tape.mm) - STRIP.height / 2, floor - STRIP.height - 3);
        floor = top;
        return { ...tape, top };
      });
  });

  let svg: SVGSVGElement | undefined = $state();
  let held: LineName | undefined = $state();

  function moveTo(layer: LineName, mm: number, stepMm: number) {
    const { low, high } = form.limits(layer, Math.min(rangeMm, vessel.innerHeightMm));
    const snapped = Math.round(mm / stepMm) * stepMm;
    form.setTop(layer, Math.min(high, Math.max(low, snapped)));
  }
  function hold(layer: LineName, mm: number, taken: boolean) {
    held = taken ? layer : undefined;
    // Taken hold of, a line that only was expected is read there.
    if (taken) moveTo(layer, mm, form.stepMm);
  }
  function key(event: KeyboardEvent, layer: LineName, mm: number) {
    const fine = event.shiftKey && form.texts.ruler !== 'sixteenths' && form.texts.ruler !== 'mL';
    const step = fine ? 0.1 : form.stepMm;
    // A millimetre at a stroke, or a quarter of an inch.
    const far = form.texts.ruler === 'sixteenths' ? 4 * form.stepMm : Math.max(1, 2 * form.stepMm);
    const keys = keyStep(event);
    if (keys) moveTo(layer, mm + (keys.up + keys.right) * step + keys.page * far, step);
  }
</script>

<svg bind:this={svg} viewBox="0 0 {WIDTH} {height}" class="reader" role="group" aria-label={t.read.chooser}>
  <defs>
    <pattern
      id="{id}-unread"
      width="10"
      height="10"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <path d="M0 0v10" class="hatch" />
    </pattern>
  </defs>
  <rect x="1" y="1" width={RULER} height={y(-offsetMm) - 1} class="ruler" />
  {#each ticks as tick (tick.mm)}
    <path d="M{RULER + 1} {tick.y}h{-30 * tick.length}" class="tick" class:long={tick.length === 1} />
    {#if tick.label && tick.y > 14}<text x={RULER - 36} y={tick.y + 5.5} class="number">{tick.label}</text
      >{/if}
  {/each}

  <g>
    <path d="M{LEFT - 4} 0V{table - 8}q0 8 8 8H{RIGHT - 4}q8 0 8 -8V0Z" class="base" />
    <rect x={LEFT} y="0" width={GLASS} height={bottom} fill="var(--air)" />
    <rect
      x={LEFT}
      y={Math.max(0, y(waterMm))}
      width={GLASS}
      height={bottom - Math.max(0, y(waterMm))}
      fill="var(--clear)"
    />
    {#each strata.toReversed() as stratum, i (stratum.layer)}
      <path
        d="{waterline(LEFT, RIGHT, y(stratum.topMm), i)}V{bottom}H{LEFT}Z"
        fill="url(#grain-{stratum.layer})"
      />
    {/each}
    {#each form.bands as band (band.line)}
      {@const [low, high] = [y(band.topMm - band.sigmaMm), y(band.topMm + band.sigmaMm)]}
      <rect x={LEFT} y={high} width={GLASS} height={low - high} class="band" />
    {/each}
    {#if vessel.shoulderHeightMm < Math.min(rangeMm, vessel.innerHeightMm)}
      <rect
        x={LEFT}
        y="0"
        width={GLASS}
        height={Math.max(0, y(vessel.shoulderHeightMm))}
        fill="url(#{id}-unread)"
      />
      {#if y(vessel.shoulderHeightMm) > 24}
        <text x={LEFT + GLASS / 2} y={y(vessel.shoulderHeightMm) - 8} class="unread">{t.read.unreadable}</text
        >
      {/if}
    {/if}
    {#if form.texts.floating && y(waterMm) > 0}
      <rect x={LEFT} y={y(waterMm)} width={GLASS} height="12" fill="url(#grain-organics)" />
    {/if}
    <rect x={LEFT + 10} y="24" width="5" height={height * 0.72} rx="2.5" class="sheen" />
    <path d="M{LEFT} 0V{bottom}H{RIGHT}V0" class="wall" />
    <path d="M2 {table + 2.5}H{RIGHT + 20}" class="tabletop" />
  </g>

  {#each tapes as tape (tape.layer)}
    {@const active = held === tape.layer}
    <g
      class="tape"
      class:ghost={!tape.placed}
      class:active
      role="slider"
      tabindex="0"
      aria-label={t.read.drag(t.layer[tape.layer])}
      aria-valuemin={0}
      aria-valuemax={Math.round(vessel.innerHeightMm + offsetMm)}
      aria-valuenow={Math.round((tape.mm + offsetMm) * 10) / 10}
      aria-valuetext={tape.placed
        ? unit === 'mL'
          ? `${form.fieldText(tape.mm)} mL`
          : formatLength(tape.mm + offsetMm, unit, 1)
        : t.read.notYet}
      {@attach draggable({
        within: () => svg!,
        at: () => ({ x: 0, y: y(tape.mm) }),
        onmove: (to) => moveTo(tape.layer, (bottom - to.y) / pxPerMm, form.stepMm),
        onheld: (taken) => hold(tape.layer, tape.mm, taken)
      })}
      onkeydown={(e) => key(e, tape.layer, tape.mm)}
    >
      <path d="M{LEFT - 12} {y(tape.mm)}H{RIGHT}" class="line" />
      <rect x={LEFT} y={y(tape.mm) - 9} width={GLASS} height="18" class="grip" />
      <rect x={RIGHT - 8} y={tape.top - 9} width={STRIP.width} height={STRIP.height + 18} class="grip" />
      <path d={tapePath(RIGHT - 6, tape.top, STRIP.width, STRIP.height)} class="strip" />
      <text x={RIGHT + 6} y={tape.top + 19}>
        {tape.placed
          ? `${t.onTape[tape.layer]} ${form.tapeText(tape.mm + offsetMm)}`
          : `${t.onTape[tape.layer]} ?`}
      </text>
    </g>
  {/each}
</svg>

<style>
  .reader {
    display: block;
    width: 100%;
    height: auto;
    touch-action: pan-y;
    overflow: visible;
    user-select: none;
  }
  .ruler {
    fill: var(--label);
    stroke: var(--tape-edge);
  }
  .tick {
    stroke: var(--tape-ink);
    stroke-width: 0.9;
  }
  .tick.long {
    stroke-width: 1.6;
  }
  .number {
    font: 600 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--tape-ink);
    text-anchor: end;
  }
  .wall {
    fill: none;
    stroke: var(--glass);
    stroke-width: 2.2;
  }
  .base {
    fill: color-mix(in oklab, var(--glass) 22%, var(--paper));
    stroke: var(--glass);
    stroke-width: 1.5;
  }
  .tabletop {
    stroke: var(--shelf-edge);
    stroke-width: 5;
  }
  .sheen {
    fill: var(--gleam);
    opacity: 0.45;
  }
  :global([data-mode='dark']) .sheen {
    opacity: 0.12;
  }
  .band {
    fill: var(--ink);
    opacity: 0.28;
  }
  .hatch {
    stroke: var(--ink);
    stroke-width: 2;
    opacity: 0.35;
  }
  .unread {
    font: 600 var(--text-xs) var(--face-text);
    text-anchor: middle;
    fill: var(--ink);
    stroke: var(--paper);
    stroke-width: 4px;
    paint-order: stroke;
  }
  .tape {
    cursor: ns-resize;
    touch-action: none;
    outline: none;
  }
  .grip {
    fill: transparent;
  }
  .line {
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .strip {
    fill: var(--tape);
    stroke: var(--tape-edge);
    stroke-width: 1.2;
  }
  .tape text {
    font: 680 var(--text-sm) var(--face-text);
    font-variant-numeric: tabular-nums;
    fill: var(--tape-ink);
    pointer-events: none;
  }
  .ghost .line {
    stroke: var(--pen);
    stroke-dasharray: 5 5;
    opacity: 0.8;
  }
  .ghost .strip {
    fill: var(--sheet);
    stroke: var(--pen);
    stroke-dasharray: 4 3;
  }
  .ghost text {
    fill: var(--pen);
  }
  .tape:focus-visible .strip,
  .active .strip {
    stroke: var(--pen);
    stroke-width: 2.6;
    stroke-dasharray: none;
  }
  .tape:focus-visible .line,
  .active .line {
    stroke: var(--pen);
    stroke-width: 2.4;
  }
</style>
