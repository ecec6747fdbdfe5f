<!--
  @component A small triangle for teaching: draws the lines it is given, one after the other where it is told to, and the
  point or the little triangle they leave. It works nothing out.
-->
<script lang="ts">
  import type { Fractions, SystemId } from '$lib/core';
  import { drawnClasses, frameOf, pathOf } from '$lib/workbench/triangle/frame';
  import { NAME_LINE, placeName } from '$lib/workbench/triangle/labels';
  import TriangleGround from '../triangle/TriangleGround.svelte';

  type Line = { key: string; from: Fractions; to: Fractions; wrong?: boolean };
  type Props = {
    system: SystemId;
    side?: number;
    lines: Line[];
    /** Points to mark, with a word. */
    points: { f: Fractions; word: string; wrong?: boolean }[];
    /** Classes to name and tint. */
    named?: string[];
    /** A patch that lines leave between them. */
    patch?: Fractions[];
    label: string;
    /** The scale that is spoken of: its side of the triangle is drawn strongly. */
    scale?: keyof Fractions;
  };
  let { system, side = 392, lines, points, named = [], patch, label, scale }: Props = $props();

  const frame = $derived(frameOf(side));
  const classes = $derived(drawnClasses(system, frame));
  const names = $derived(
    classes
      .filter((c) => named.includes(c.id))
      .map((c) => ({
        ...c,
        ...placeName(
          c.words,
          c.corners,
          points.map((p) => ({ ...frame.place(p.f), clear: 13 }))
        )
      }))
  );
  const edge = $derived(
    scale &&
      ({
        clay: [
          { sand: 100, silt: 0, clay: 0 },
          { sand: 0, silt: 0, clay: 100 }
        ],
        silt: [
          { sand: 0, silt: 0, clay: 100 },
          { sand: 0, silt: 100, clay: 0 }
        ],
        sand: [
          { sand: 0, silt: 100, clay: 0 },
          { sand: 100, silt: 0, clay: 0 }
        ]
      }[scale].map(frame.place) as { x: number; y: number }[])
  );
</script>

<svg
  class="block w-full h-auto overflow-visible"
  viewBox="0 0 {frame.width} {frame.height}"
  role="img"
  aria-label={label}
>
  <TriangleGround {frame} {classes} probabilities={Object.fromEntries(named.map((id) => [id, 0.6]))} />
  {#if edge}<path d="M{edge[0].x} {edge[0].y}L{edge[1].x} {edge[1].y}" class="scale" />{/if}
  {#if patch}<path d={pathOf(patch.map(frame.place))} class="patch" />{/if}
  {#each lines as line (line.key)}
    {@const a = frame.place(line.from)}
    {@const b = frame.place(line.to)}
    <path d="M{a.x} {a.y}L{b.x} {b.y}" class="line" class:wrong={line.wrong} pathLength="1" />
    <circle cx={a.x} cy={a.y} r="5" class="start" class:wrong={line.wrong} />
  {/each}
  {#each names as c (c.id)}
    <text x={c.x} y={c.y - ((c.words.length - 1) * NAME_LINE) / 2 + 4} text-anchor="middle" class="name">
      {#each c.words as word, i (word + i)}<tspan x={c.x} dy={i === 0 ? 0 : NAME_LINE}>{word}</tspan>{/each}
    </text>
  {/each}
  {#each points as p (p.word)}
    {@const at = frame.place(p.f)}
    <circle cx={at.x} cy={at.y} r="7" class="point" class:wrong={p.wrong} />
    <text x={at.x + 12} y={at.y - 9} class="word" class:wrong={p.wrong}>{p.word}</text>
  {/each}
</svg>

<style>
  .scale {
    stroke: var(--pen);
    stroke-width: 6;
    stroke-opacity: 0.5;
    stroke-linecap: round;
  }
  .line {
    fill: none;
    stroke: var(--pen);
    stroke-width: 2.6;
    stroke-dasharray: 1;
    animation: draw 0.9s ease-out;
  }
  .line.wrong {
    stroke: var(--alarm);
  }
  @keyframes draw {
    from {
      stroke-dashoffset: 1;
    }
  }
  .start {
    fill: var(--pen);
  }
  .start.wrong,
  .point.wrong {
    fill: var(--alarm);
  }
  .patch {
    fill: var(--alarm);
    fill-opacity: 0.28;
    stroke: var(--alarm);
    stroke-width: 1.5;
  }
  .point {
    fill: var(--ink);
    stroke: var(--sheet);
    stroke-width: 2;
  }
  text {
    font-family: var(--face-text);
  }
  .name {
    font-size: var(--text-xs);
    font-weight: 650;
    fill: var(--ink);
  }
  .word {
    font-size: var(--text-xs);
    font-weight: 700;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--sheet);
    stroke-width: 3.5px;
  }
  .word.wrong {
    fill: var(--alarm);
  }
  @media (prefers-reduced-motion: reduce) {
    .line {
      animation: none;
    }
  }
</style>
