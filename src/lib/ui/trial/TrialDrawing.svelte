<!--
  @component A set of trial pieces on its board, in the order of their numbers: blocks that cure, lie in water or are crushed;
  dry pieces in their boxes, ribbons by their length, balls as they fell.
-->
<script lang="ts">
  import type { PieceView, TrialView } from '$lib/workbench/trials';
  import { t } from '$lib/words';

  type Props = {
    view: TrialView;
    /** As it stands on the bench: no more than so many pieces. */
    small?: boolean;
  };
  let { view, small = false }: Props = $props();

  const MOST_SMALL = 4;
  const { trial } = $derived(view);
  const shown = $derived(small ? view.pieces.slice(0, MOST_SMALL) : view.pieces);
  const wide = $derived({ block: 76, ball: 62, ribbon: 52, box: 300 }[trial.kind]);
  const perRow = $derived(small ? MOST_SMALL : trial.kind === 'box' ? 1 : 8);
  const high = $derived({ block: 64, ball: 66, ribbon: 132, box: 66 }[trial.kind]);
  const rows = $derived(Math.ceil(shown.length / perRow));
  const width = $derived(wide * Math.min(perRow, shown.length) + 16);
  const height = $derived(rows * high + 6);
  const made = $derived(trial.formedAt !== null);
  const inWater = (piece: PieceView) => piece.soaked && trial.soakedAt !== null && piece.record === undefined;
  /** A ribbon hangs to scale: so many units a mm. */
  const ribbonLong = (piece: PieceView) => Math.min(92, (piece.record?.seen.length?.mm ?? 50) * 0.95);
  const boxLong = (piece: PieceView) =>
    (wide - 40) * ((piece.record?.seen.length?.mm ?? trial.box?.mm ?? 1) / (trial.box?.mm || 1));
  const state = (piece: PieceView) =>
    piece.record ? 'told' : inWater(piece) ? 'water' : made ? 'cures' : 'made';
  const words = $derived(
    (['told', 'water', 'cures', 'made'] as const)
      .flatMap((kind) => {
        const n = view.pieces.filter((piece) => state(piece) === kind).length;
        return n === 0 ? [] : [`${n} ${t.trial.drawn[kind]}`];
      })
      .join(', ')
  );
</script>

{#snippet block(piece: PieceView)}
  {@const look = piece.record?.seen.look}
  {#if look === 'falls'}
    <path d="M8 66q10 -22 26 -21t24 21z" fill="url(#grain-dry)" class="edge" />
  {:else}
    {#if !made && piece.soaked}<path d="M0 30V68H66V30" class="tray ghost" />{/if}
    {#if inWater(piece)}
      <path d="M0 30V68H66V30" class="tray" />
      <rect x="1" y="34" width="64" height="33" class="water" />
    {/if}
    <g class:ghost={!made} class:soaked={piece.soaked && trial.soakedAt !== null}>
      <path d="M10 40l9 -9h40l-9 9z" class="body top" />
      <path d="M50 40l9 -9v26l-9 9z" class="body side" />
      <path d="M10 40h40v26h-40z" class="body" />
      <path d="M10 40h40v26h-40z" fill="url(#grain-dry)" opacity="0.55" />
      {#if look === 'softens'}<path d="M10 66v-5q2 3 6 5zM50 40v5q-3 -2 -6 -5z" class="soft" />{/if}
      {#if piece.record}
        <path d="M24 40l5 9l-4 7l6 10M40 40l-3 7l5 8l-2 11" class="crack" />
      {/if}
    </g>
    {#if inWater(piece)}<rect x="1" y="34" width="64" height="33" class="water over" />{/if}
  {/if}
{/snippet}

{#snippet ball(piece: PieceView)}
  {@const drop = piece.record?.seen.drop}
  {#if drop === 'crumbles'}
    <path d="M4 66q8 -13 24 -13t26 13z" fill="url(#grain-dry)" class="edge" />
  {:else if drop === 'few'}
    <path d="M6 66q1 -20 14 -22l3 22zM27 66l-2 -23q12 3 13 23zM42 66q0 -11 10 -11l2 11z" class="body" />
  {:else if drop === 'whole'}
    <path d="M6 66q-4 -18 22 -19t24 19z" class="body" />
  {:else}
    <circle cx="29" cy="46" r="20" class="body" class:ghost={!made} />
  {/if}
{/snippet}

{#snippet ribbon(piece: PieceView)}
  <path d="M6 14H40" class="finger" />
  <path
    d="M14 14q-3 {ribbonLong(piece) / 2} 1 {ribbonLong(piece)}h16q4 {-ribbonLong(piece) / 2} 0 {-ribbonLong(
      piece
    )}z"
    class="body"
    class:ghost={piece.record === undefined}
  />
{/snippet}

{#snippet box(piece: PieceView)}
  <rect x="8" y="20" width={wide - 24} height="34" class="box" />
  <rect x="16" y="26" width={wide - 40} height="22" class="hollow" />
  <rect x="16" y="26" width={boxLong(piece)} height="22" class="body" class:ghost={!made} />
  <rect x="16" y="26" width={boxLong(piece)} height="22" fill="url(#grain-dry)" opacity={made ? 0.55 : 0} />
  {#if piece.record?.seen.cracked}<path d="M96 26l4 8l-5 6l5 8" class="crack" />{/if}
{/snippet}

<svg
  viewBox="0 0 {width} {height}"
  style:max-width="{width * (small ? 1 : 1.6)}px"
  class="block w-full"
  role="img"
  aria-label={t.trial.drawing(trial.code, words)}
>
  {#each Array.from({ length: rows }, (_, i) => i) as row (row)}
    <path d="M0 {row * high + high - 14}H{width}" class="board" />
  {/each}
  {#each shown as piece, i (piece.no)}
    <g transform="translate({8 + (i % perRow) * wide} {Math.floor(i / perRow) * high})">
      <g transform="translate(0 {high - 80})">
        {#if trial.kind === 'block'}{@render block(piece)}
        {:else if trial.kind === 'ball'}{@render ball(piece)}
        {/if}
      </g>
      {#if trial.kind === 'ribbon'}{@render ribbon(piece)}{/if}
      {#if trial.kind === 'box'}{@render box(piece)}{/if}
      <text x={trial.kind === 'box' ? 18 : 12} y={trial.kind === 'box' ? 17 : high - 1} class="no"
        >{piece.no}</text
      >
    </g>
  {/each}
</svg>

<style>
  .board {
    stroke: var(--shelf);
    stroke-width: 4;
  }
  .body {
    fill: var(--silt);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .top {
    fill: var(--sand);
  }
  .side {
    fill: var(--silt-grain);
  }
  .soaked .body {
    fill: var(--silt-grain);
  }
  .ghost {
    fill: none;
    opacity: 0.55;
    stroke-dasharray: 4 4;
  }
  .ghost .body {
    fill: none;
    stroke-dasharray: 4 4;
  }
  .edge,
  .finger {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .finger {
    stroke-width: 5;
    stroke-linecap: round;
  }
  .crack {
    fill: none;
    stroke: var(--paper);
    stroke-width: 2;
  }
  .soft {
    fill: var(--paper);
  }
  .tray {
    fill: none;
    stroke: var(--glass);
    stroke-width: 2;
  }
  .water {
    fill: var(--clear);
  }
  .over {
    opacity: 0.55;
  }
  .box {
    fill: var(--shelf);
    stroke: var(--shelf-edge);
  }
  .hollow {
    fill: var(--paper);
    stroke: var(--shelf-edge);
  }
  .no {
    fill: var(--faded);
    font: 650 var(--text-xs) var(--face-text);
  }
</style>
