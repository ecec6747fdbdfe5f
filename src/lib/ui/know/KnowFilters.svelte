<!-- @component Which tests stand on the triangle, which one is in hand, and what is drawn between them. -->
<script lang="ts">
  import type { KnowPoint } from '$lib/contract/records/log';
  import CodePick from '../fields/CodePick.svelte';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import { findTest } from '$lib/browser/find-test';
  import type { KnowChoices, KnowFilter } from '$lib/workbench/filter';
  import { DOTS_MOST, someHaveTwoViews } from '$lib/workbench/points';

  type Props = {
    /** Tests that are drawn one by one. */
    points: KnowPoint[];
    choices: KnowChoices;
    /** How many tests pass, and how many there are in all. */
    counts: [shown: number, all: number];
    /** Whether those that pass are more than are drawn one by one. */
    crowd: boolean;
    filter: KnowFilter;
    look: { byMass: boolean; join: boolean; changes: boolean };
    /** Code of the test in hand. */
    own: string;
    onpick: (id: string | undefined) => void;
  };
  let {
    points,
    choices,
    counts,
    crowd,
    filter = $bindable(),
    look = $bindable(),
    own,
    onpick
  }: Props = $props();

  const selects = $derived([
    { key: 'siteId' as const, label: t.know.filter.site, options: choices.siteId },
    { key: 'areaId' as const, label: t.know.filter.area, options: choices.areaId },
    { key: 'year' as const, label: t.know.filter.season, options: choices.year },
    { key: 'methodKey' as const, label: t.know.filter.method, options: choices.methodKey }
  ]);
  /** The code in the field: that of the test in hand, until another is typed. */
  let code = $derived(own);
  let error = $state<string>();
  async function find(wanted: string) {
    error = undefined;
    if (wanted.trim() === '') return onpick(undefined);
    const found = await findTest(points, wanted);
    if (found) onpick(found.id);
    else error = t.know.noSuch(wanted.trim());
  }
</script>

<div class="filters no-print">
  <CodePick label={t.know.find} hint={t.know.findHint} {error} bind:code {points} onchoose={find} />
  {#each selects as one (one.key)}
    {#if one.options.length > 1}
      <Field label={one.label}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={filter[one.key]}>
            <option value="">{t.know.filter.all}</option>
            {#each one.options as o (o.value)}<option value={o.value}>{o.label}</option>{/each}
          </select>
        {/snippet}
      </Field>
    {/if}
  {/each}
  <p class="faded self-end" class:col-span-full={crowd}>
    {t.know.shown(...counts)}{#if crowd}<span class="block"
        >{t.know.shade(Math.min(points.length, DOTS_MOST), counts[0])}</span
      >{/if}
  </p>
  {#if someHaveTwoViews(points)}
    <label class="flex items-center gap-3 min-h-touch"
      ><input class="checkbox" type="checkbox" bind:checked={look.byMass} /> {t.know.byMass}</label
    >
  {/if}
  <label class="flex items-center gap-3 min-h-touch"
    ><input class="checkbox" type="checkbox" bind:checked={look.join} /> {t.know.join}</label
  >
  <label class="flex items-center gap-3 min-h-touch"
    ><input class="checkbox" type="checkbox" bind:checked={look.changes} /> {t.know.changes}</label
  >
</div>

<style>
  .filters {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: var(--spacing-3) var(--spacing-6);
    align-items: start;
    border-top: var(--line) solid var(--hair);
    padding-top: var(--spacing-4);
  }
</style>
