<!-- @component Where two people changed one record: what the other made of it beside what stands in the form, and the choice. -->
<script lang="ts">
  import type { Meanwhile } from '$lib/contract/commands';
  import { clock } from '$lib/browser/clock.svelte';
  import { page } from '$app/state';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = {
    form: {
      meanwhile?: Meanwhile & { mine: Record<string, unknown> };
      keepMine: () => void;
      takeTheirs: () => Promise<void>;
    };
  };
  let { form }: Props = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  const nameOf = (field: string) => (t.seen.fields as Record<string, string>)[field] ?? field;
  /** A value in a line; what holds several is told one by one. */
  function textOf(value: unknown): string {
    if (value === null || value === undefined || value === '') return t.seen.nothing;
    if (Array.isArray(value)) {
      if (value.every((one) => typeof one === 'string')) return value.join(', ') || t.seen.nothing;
      return t.seen.several(value.length);
    }
    if (typeof value !== 'object') return String(value);
    if ('text' in value) return String(value.text);
    return (
      Object.entries(value)
        .map(([name, one]) => `${nameOf(name)}: ${textOf(one)}`)
        .join('; ') || t.seen.nothing
    );
  }
</script>

{#if form.meanwhile}
  {@const { who, at, now, mine } = form.meanwhile}
  <div class="both" role="alert">
    <p class="font-bold">{t.seen.changed(who, format.when(at, clock.now))}</p>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">{t.seen.field}</span></th>
          <th scope="col">{t.seen.theirs(who)}</th>
          <th scope="col">{t.seen.mine}</th>
        </tr>
      </thead>
      <tbody>
        {#each Object.entries(now) as [field, value] (field)}
          <tr>
            <th scope="row">{nameOf(field)}</th>
            <td>{textOf(value)}</td>
            <td>{textOf(mine[field])}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="row-of-actions mt-3">
      <button type="button" class="btn btn-secondary" onclick={() => form.keepMine()}
        >{t.seen.keepMine}</button
      >
      <button type="button" class="btn btn-secondary" onclick={() => form.takeTheirs()}
        >{t.seen.takeTheirs}</button
      >
    </p>
  </div>
{/if}

<style>
  .both {
    margin: var(--spacing-4) 0;
    padding: var(--spacing-4) var(--spacing-5);
    border: var(--line-strong) solid var(--ink);
    background: var(--sheet);
  }
  table {
    border-collapse: collapse;
    width: 100%;
    margin-top: var(--spacing-2);
  }
  th,
  td {
    padding: var(--spacing-2) var(--spacing-4) var(--spacing-2) 0;
    text-align: left;
    vertical-align: top;
    border-bottom: var(--line) solid var(--hair);
  }
</style>
