<script lang="ts">
  import { untrack } from 'svelte';
  import { replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { findLines, logAddress, LOG_SORTS, type LogSort } from '$lib/workbench/find';
  import LogPages from '$lib/ui/log/LogPages.svelte';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { pageAt } from '$lib/browser/page-at';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let text = $state(untrack(() => data.asked.text));
  let sort = $state<LogSort>(untrack(() => data.asked.sort));
  /** What is typed narrows these lines at once; the server then looks through all of them. */
  const lines = $derived(findLines(data.lines, text));
  const answered = $derived(data.asked.text === text && data.asked.sort === sort);
  /** The address always says what is shown, so that it can be bookmarked. */
  const wanted = $derived(logAddress('/log', { text, sort, from: 0 }));
  let away = $state(false);

  const PAUSE_MS = 200;
  let last: string | undefined;
  $effect(() => {
    // Also once the page has looked again: then somebody answers.
    void data.lines;
    if (answered || wanted === last) return;
    replaceState(wanted, {});
    const pause = setTimeout(async () => {
      last = wanted;
      away = !(await pageAt(wanted));
      last = undefined;
    }, PAUSE_MS);
    return () => clearTimeout(pause);
  });
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
      maxlength="200"
      placeholder={t.log.searchHint}
      use:focusWhenAsked
    />
  </label>
  <Choice
    label={t.log.sort}
    bind:value={sort}
    options={LOG_SORTS.map((value) => ({ value, label: t.log.sorts[value] }))}
  />
</div>

{#if away && !answered}<p class="wrong">{t.log.onlyHere}</p>{/if}
{#if data.kept === 0}
  <p class="faded">{t.log.empty}</p>
{:else if lines.length === 0 && (answered || away)}
  <p class="faded">{t.log.noMatch(text)}</p>
{:else}
  <FirstTime page="log" />
  <LogTable {lines} {sort} onsort={(by) => (sort = by)} now={clock.now} {format} />
{/if}
<LogPages
  path="/log"
  asked={{ ...data.asked, text, sort }}
  shown={lines.length}
  found={answered ? data.found : lines.length}
>
  <a class="link" href="/api/v1/tests?format=csv" download>{t.test.exportCsv}</a>
  <a class="link" href="/api/v1/tests?format=json" download>{t.test.exportJson}</a>
  <a class="link" href="/log/bin">{t.log.bin}{data.binned > 0 ? ` (${data.binned})` : ''}</a>
</LogPages>

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
