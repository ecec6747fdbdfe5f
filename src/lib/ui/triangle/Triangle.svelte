<!--
  @component The texture triangle: ink on paper, bare until there is something to say. Draws the point, its three
  reading lines, the 90 % region and the classes tinted by probability; works nothing out.
-->
<script lang="ts">
  import { contours } from 'd3-contour';
  import { textureSystems, toTriangle, type DensityGrid, type Fractions } from '$lib/core';
  import { t } from '../strings';
  import { along, middleOf, NAME_LINE, placeName } from './labels';

  type Props = {
    point?: Fractions;
    /** The class the point is in, by id. */
    classId?: string;
    /** By class id, 0-1. */
    probabilities?: Record<string, number>;
    region?: DensityGrid;
    /** Another view of the same soil: its point and region, drawn dashed. */
    other?: { point: Fractions; region?: DensityGrid };
    /** What it says to those who cannot see it. */
    label: string;
  };
  let { point, classId, probabilities = {}, region, other, label }: Props = $props();

  const SIDE = 392;
  const RISE = (SIDE * Math.sqrt(3)) / 2;
  const PAD = { left: 46, top: 20, right: 40, bottom: 48 };
  const WIDTH = SIDE + PAD.left + PAD.right;
  const HEIGHT = RISE + PAD.top + PAD.bottom;
  /** Class areas smaller than this, in points squared, carry no name unless the soil is in them. */
  const NAMED_AREA = 240;

  const px = (x: number) => PAD.left + x * SIDE;
  const py = (y: number) => PAD.top + (1 - y) * RISE;
  const place = (f: Fractions) => {
    const at = toTriangle(f);
    return { x: px(at.x), y: py(at.y) };
  };
  const path = (points: { x: number; y: number }[]) =>
    `M${points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`;

  const classes = textureSystems.usda.classes.map((c) => {
    const corners = c.polygon.map(place);
    const area = middleOf(corners).area / ((SIDE * RISE) / 10_000);
    return { id: c.id, words: c.name.split(' '), corners, d: path(corners), area };
  });

  const ticks = Array.from({ length: 9 }, (_, i) => (i + 1) * 10).map((n) => ({
    n,
    named: n % 20 === 0,
    clay: place({ sand: 100 - n, silt: 0, clay: n }),
    silt: place({ sand: 0, silt: n, clay: 100 - n }),
    sand: place({ sand: n, silt: 100 - n, clay: 0 })
  }));

  const at = $derived(point && place(point));
  const lines = $derived(
    point && [
      { key: 'clay', to: place({ sand: 100 - point.clay, silt: 0, clay: point.clay }) },
      { key: 'silt', to: place({ sand: 0, silt: point.silt, clay: 100 - point.silt }) },
      { key: 'sand', to: place({ sand: point.sand, silt: 100 - point.sand, clay: 0 }) }
    ]
  );
  const obstacles = $derived(
    at && lines ? [{ ...at, clear: 15 }, ...lines.flatMap((line) => along(at, line.to, 1))] : []
  );
  const names = $derived(
    classes
      .filter((c) => c.area > NAMED_AREA || c.id === classId)
      .map((c) => ({ ...c, ...placeName(c.words, c.corners, obstacles) }))
  );
  const regionPath = $derived(regionShape(region));
  const otherPath = $derived(regionShape(other?.region));
  const otherAt = $derived(other && place(other.point));
  function regionShape(grid: DensityGrid | undefined): string {
    if (!grid) return '';
    const { columns, rows, values, level, x0, y0, cell } = grid;
    const shape = contours().size([columns, rows]).thresholds([level])(values)[0];
    return shape.coordinates
      .flat()
      .map((ring) => path(ring.map(([gx, gy]) => ({ x: px(x0 + gx * cell), y: py(y0 + gy * cell) }))))
      .join('');
  }
  const corner = {
    sand: place({ sand: 100, silt: 0, clay: 0 }),
    silt: place({ sand: 0, silt: 100, clay: 0 }),
    clay: place({ sand: 0, silt: 0, clay: 100 })
  };
  const outline = path([corner.sand, corner.silt, corner.clay]);
  const clipId = $props.id();
</script>

<svg id="triangle" viewBox="0 0 {WIDTH} {HEIGHT}" role="img" aria-label={label}>
  <clipPath id={clipId}><path d={outline} /></clipPath>
  <path d={outline} class="ground" />
  {#each classes as c (c.id)}
    <path d={c.d} class="area" style:fill-opacity={(probabilities[c.id] ?? 0) * 0.34} />
  {/each}
  <path d={outline} class="edge" />
  {#each ticks as tick (tick.n)}
    <path d="M{tick.clay.x} {tick.clay.y}h{tick.named ? -10 : -6}" class="tick" />
    <path d="M{tick.silt.x} {tick.silt.y}l{tick.named ? 5 : 3} {tick.named ? -8.7 : -5.2}" class="tick" />
    <path d="M{tick.sand.x} {tick.sand.y}l{tick.named ? 5 : 3} {tick.named ? 8.7 : 5.2}" class="tick" />
    {#if tick.named}
      <text x={tick.clay.x - 14} y={tick.clay.y + 4} text-anchor="end" class="number">{tick.n}</text>
      <text x={tick.silt.x + 9} y={tick.silt.y - 9} class="number">{tick.n}</text>
      <text x={tick.sand.x + 7} y={tick.sand.y + 22} text-anchor="middle" class="number">{tick.n}</text>
    {/if}
  {/each}
  <text transform="translate({px(0.25) - 42} {py(0.5) - 24}) rotate(-60)" text-anchor="middle" class="axis"
    >{t.result.axis.clay}</text
  >
  <text transform="translate({px(0.75) + 42} {py(0.5) - 24}) rotate(60)" text-anchor="middle" class="axis"
    >{t.result.axis.silt}</text
  >
  <text x={px(0.5)} y={py(0) + 42} text-anchor="middle" class="axis">{t.result.axis.sand}</text>

  {#if otherAt}
    <g clip-path="url(#{clipId})"><path d={otherPath} class="region other" /></g>
  {/if}
  {#if at && lines}
    {#each lines as line (line.key)}
      <path d="M{at.x} {at.y}L{line.to.x} {line.to.y}" class="reading" />
    {/each}
    <g clip-path="url(#{clipId})"><path d={regionPath} class="region" /></g>
  {/if}
  {#each names as c (c.id)}
    <text
      x={c.x}
      y={c.y - ((c.words.length - 1) * NAME_LINE) / 2 + 4}
      text-anchor="middle"
      class="name"
      class:own={c.id === classId}
    >
      {#each c.words as word, i (word)}<tspan x={c.x} dy={i === 0 ? 0 : NAME_LINE}>{word}</tspan>{/each}
    </text>
  {/each}

  {#if otherAt}
    {#if at}<path d="M{at.x} {at.y}L{otherAt.x} {otherAt.y}" class="between" />{/if}
    <path d="M{otherAt.x - 7} {otherAt.y}l7 -7l7 7l-7 7Z" class="diamond" />
  {/if}
  {#if at}<circle cx={at.x} cy={at.y} r="6.5" class="point" />{/if}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
    overflow: visible;
  }
  .ground {
    fill: var(--sheet);
  }
  .area {
    fill: var(--pen);
    stroke: var(--rule);
    stroke-width: 1;
  }
  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.2;
    stroke-linejoin: round;
  }
  .tick {
    stroke: var(--ink);
    stroke-width: 1.2;
    fill: none;
  }
  text {
    fill: var(--ink);
    font-family: var(--face-text);
    font-variant-numeric: tabular-nums;
  }
  .number {
    font-size: 12.5px;
    fill: var(--faded);
  }
  .axis {
    font-size: 13.5px;
  }
  .name {
    font-size: 13px;
    fill: var(--faded);
  }
  .name.own {
    font-weight: 750;
    fill: var(--ink);
  }
  .reading {
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-dasharray: 1.5 5;
    stroke-linecap: round;
  }
  .region {
    fill: var(--pen);
    fill-opacity: 0.22;
    stroke: var(--pen);
    stroke-width: 1.6;
  }
  .region.other {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.3;
    stroke-dasharray: 4 4;
  }
  .between {
    stroke: var(--ink);
    stroke-width: 1.2;
    stroke-dasharray: 2 3;
  }
  .diamond {
    fill: var(--sheet);
    stroke: var(--ink);
    stroke-width: 2;
  }
  .point {
    fill: var(--pen);
    stroke: var(--sheet);
    stroke-width: 2;
  }
</style>
