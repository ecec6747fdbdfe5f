<!-- @component What the log is narrowed to: site, area, season, method, class, purpose, state, table, person, trouble. -->
<script lang="ts">
  import Field from '../fields/Field.svelte';
  import { CHOSEN, narrowedBy, NO_FILTER, type LogChoices, type LogFilter } from '$lib/workbench/filter';
  import { t } from '$lib/words';

  type Props = { filter: LogFilter; choices: LogChoices };
  let { filter = $bindable(), choices }: Props = $props();

  const ORDER = [...CHOSEN, 'person'] as const;
  /** Of these one alone parts the tests too. */
  const SINGLY: readonly string[] = ['person', 'importId'];
  /** Where there is nothing to choose nothing is asked, but what is chosen can always be let go. */
  const offered = $derived(
    ORDER.filter((key) => choices[key].length > (SINGLY.includes(key) ? 0 : 1) || filter[key] !== '')
  );
  const count = $derived(narrowedBy(filter));
  let open = $state(narrowedBy(filter) > 0);
</script>

<details bind:open class="no-print open:basis-full">
  <summary class="link inline-flex items-center min-h-touch cursor-pointer">{t.log.narrow(count)}</summary>
  <div class="filters">
    {#each offered as key (key)}
      <Field label={t.log.filters[key]}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={filter[key]}>
            <option value="">{t.know.filter.all}</option>
            {#each choices[key] as one (one.value)}<option value={one.value}>{one.label}</option>{/each}
          </select>
        {/snippet}
      </Field>
    {/each}
    <label class="flex items-center gap-3 min-h-touch self-end">
      <input
        class="checkbox"
        type="checkbox"
        checked={filter.trouble !== ''}
        onchange={(e) => (filter.trouble = e.currentTarget.checked ? 'yes' : '')}
      />
      {t.log.filters.trouble}
    </label>
    {#if count > 0}
      <button type="button" class="btn btn-secondary self-end" onclick={() => (filter = { ...NO_FILTER })}
        >{t.log.showAll}</button
      >
    {/if}
  </div>
</details>

<style>
  .filters {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
    gap: var(--spacing-3) var(--spacing-6);
    align-items: start;
    padding: var(--spacing-3) 0 var(--spacing-4);
    border-bottom: var(--line) solid var(--hair);
  }
</style>
