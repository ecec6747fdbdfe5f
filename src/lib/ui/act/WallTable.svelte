<!-- @component Every technique a row, its windows as openings that the soil passes or strikes, each with its chance. -->
<script lang="ts">
  import { signSays, WALL_OF, type Technique, type TechniqueKept, type WallSign } from '$lib/core';
  import { t } from '$lib/words';
  import { chanceText } from '$lib/words/headline';
  import WallOpening from './WallOpening.svelte';

  type Props = {
    said: readonly TechniqueKept[];
    signs: readonly WallSign[];
    /** What the other basis says of one, where the two part. */
    parting?: (one: TechniqueKept) => string | undefined;
  };
  let { said, signs, parting }: Props = $props();
  const refusedBy = (technique: Pick<Technique, 'pressed'>) =>
    signs.find((sign) => signSays(sign, technique) === 'refused');
</script>

<div role="table" aria-label={t.wall.title}>
  <div role="row" class="row head">
    <span role="columnheader">{t.wall.technique}</span>
    {#each WALL_OF as of (of)}
      <span role="columnheader"
        >{`${t.wall.of[of].name}${t.wall.of[of].unit ? `, ${t.wall.of[of].unit}` : ''}`}</span
      >
    {/each}
  </div>
  {#each said as one (one.technique.id)}
    {@const { technique, chance, on, windows } = one}
    {@const refused = refusedBy(technique)}
    {@const other = parting?.(one)}
    <div role="row" class="row border-t border-hair" class:refused={refused !== undefined}>
      <span role="rowheader">
        <span class="font-head font-bold text-lg block">{technique.name}</span>
        {#if refused}
          <span class="wrong">{t.wall.refused[refused]}</span>
        {:else}
          <span class="font-bold num">{chanceText(chance)}</span>
          <span class="faded small block"
            >{on === technique.on ? t.wall.on[on] : t.wall.instead[on]}{other ? `. ${other}` : ''}</span
          >
        {/if}
      </span>
      {#each WALL_OF as of (of)}
        {@const window = windows.find((w) => w.window.of === of)}
        <span role="cell" class:empty={!window}>
          {#if window}
            <span class="name small">{t.wall.of[of].name}</span>
            <WallOpening said={window} />
            <span class="small num"
              >{window.chance === undefined ? t.wall.unknown : chanceText(window.chance)}</span
            >
          {:else}<span class="sr-only">{t.wall.notAsked}</span>{/if}
        </span>
      {/each}
    </div>
  {/each}
</div>

<style>
  .row {
    display: grid;
    grid-template-columns: 9rem repeat(6, minmax(0, 1fr));
    gap: 0 var(--spacing-5);
    align-items: center;
    padding: var(--spacing-3) 0;
  }
  .head {
    padding: 0;
    color: var(--faded);
    font-size: var(--text-sm);
    align-items: end;
  }
  .refused [role='cell'] {
    opacity: 0.45;
  }
  .name {
    display: none;
  }
  @media screen and (max-width: 900px) {
    .head {
      display: none;
    }
    .row {
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: var(--spacing-4) var(--spacing-5);
    }
    [role='rowheader'] {
      grid-column: 1 / -1;
    }
    .empty {
      display: none;
    }
    .name {
      display: block;
      font-weight: 600;
    }
  }
  @media print {
    .row {
      grid-template-columns: 6.5rem repeat(6, minmax(0, 1fr));
      gap: 0 var(--spacing-3);
      padding: var(--spacing-2) 0;
    }
  }
</style>
