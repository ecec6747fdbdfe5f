<!--
  @component The vessel large beside a ruler. Each layer top has a strip of tape that is dragged, or moved with the
  arrow keys; tape not yet placed hangs dashed where the physics expects the line.
-->
<script lang="ts">
  import { draggable, keyStep } from '../kit/handle';
  import { formatLength, LINE_ORDER, type LineName, type Vessel, known } from '$lib/core';
  import { t } from '$lib/words';
  import { tapePath } from '../vessel/outline';
  import GlassDrawn from './GlassDrawn.svelte';
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
  const offsetMm = $derived(form.offsetMm);
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
  <GlassDrawn {form} {vessel} {waterMm} {rangeMm} {height} {y} ruler={RULER} left={LEFT} right={RIGHT} />

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
        within: () => known(svg, 'its tapes are drawn in it'),
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
