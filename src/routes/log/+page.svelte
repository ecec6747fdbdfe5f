<script lang="ts">
  import { untrack } from 'svelte';
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { findLines, type LogSort } from '$lib/workbench/find';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const SORTS: LogSort[] = ['date', 'sample', 'class'];
  const asked = untrack(() => page.url.searchParams);
  let text = $state(asked.get('q') ?? '');
  let sort = $state<LogSort>(SORTS.find((s) => s === asked.get('sort')) ?? 'date');
  const lines = $derived(findLines(data.lines, text));
  const query = $derived(
    new URLSearchParams({ ...(text ? { q: text } : {}), ...(sort === 'date' ? {} : { sort }) }).toString()
  );

  /** The address always says what is shown, so that it can be bookmarked. */
  function keepAddress() {
    replaceState(query ? `/log?${query}` : '/log', {});
  }
  function focusWhenAsked(node: HTMLInputElement) {
    if (page.url.searchParams.get('find')) node.focus();
  }
</script>

<div class="top">
  <h1>{t.log.title}</h1>
  <label class="find">
    <span>{t.log.search}</span>
    <input
      class="input"
      type="search"
      bind:value={text}
      oninput={keepAddress}
      placeholder={t.log.searchHint}
      use:focusWhenAsked
    />
  </label>
  <Choice
    label={t.log.sort}
    bind:value={sort}
    onchange={keepAddress}
    options={SORTS.map((value) => ({ value, label: t.log.sorts[value] }))}
  />
</div>

{#if data.lines.length === 0}
  <p class="faded">{t.log.empty}</p>
{:else if lines.length === 0}
  <p class="faded">{t.log.noMatch(text)}</p>
{:else}
  <FirstTime page="log" />
  <LogTable
    {lines}
    {sort}
    onsort={(by) => {
      sort = by;
      keepAddress();
    }}
    now={clock.now}
    {format}
  />
{/if}
<p class="row-of-actions no-print mt-5">
  <span class="faded">{t.log.count(lines.length)}</span>
  <a class="link" href="/api/v1/tests?format=csv" download>{t.test.exportCsv}</a>
  <a class="link" href="/api/v1/tests?format=json" download>{t.test.exportJson}</a>
  <a class="link" href="/log/bin">{t.log.bin}{data.binned > 0 ? ` (${data.binned})` : ''}</a>
</p>

<style>
  .top {
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-4) var(--spacing-8);
    align-items: flex-end;
    margin: var(--spacing-7) 0 var(--spacing-5);
  }
  .find {
    flex: 1 1 16rem;
    max-width: 26rem;
    font-weight: 600;
    font-size: var(--text-base);
  }
</style>
