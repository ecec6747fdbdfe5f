<script lang="ts">
  import { untrack } from 'svelte';
  import { SvelteMap } from 'svelte/reactivity';
  import { afterNavigate, replaceState } from '$app/navigation';
  import { page } from '$app/state';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { findLines, logAddress, LOG_SORTS, type LogSort } from '$lib/workbench/find';
  import type { LogLine } from '$lib/contract/records/log';
  import KeptViews from '$lib/ui/log/KeptViews.svelte';
  import LogFilters from '$lib/ui/log/LogFilters.svelte';
  import LogPages from '$lib/ui/log/LogPages.svelte';
  import Several from '$lib/ui/log/Several.svelte';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import { pageAt } from '$lib/browser/page-at';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let text = $state(untrack(() => data.asked.text));
  let sort = $state<LogSort>(untrack(() => data.asked.sort));
  let filter = $state(untrack(() => ({ ...data.asked.filter })));
  /** The address always says what is shown, so that it can be bookmarked. */
  const wanted = $derived(logAddress('/log', { text, sort, filter, from: 0 }));
  const answered = $derived(wanted === logAddress('/log', { ...data.asked, from: 0 }));
  /** What is typed narrows these lines at once; the server then looks through all of them. */
  const lines = $derived(answered ? data.lines : findLines(data.lines, text));
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
  // A link to another view of the log is followed; what is asked for from here is here already.
  afterNavigate(({ type }) => {
    if (type !== 'link' && type !== 'popstate') return;
    ({ text, sort } = data.asked);
    filter = { ...data.asked.filter };
  });

  let choosing = $state(false);
  /** Lines that are chosen, on this page and on others. */
  const picked = new SvelteMap<string, LogLine>();
  const pick = (line: LogLine) => (picked.has(line.id) ? picked.delete(line.id) : picked.set(line.id, line));
  function stopChoosing() {
    choosing = false;
    picked.clear();
  }
  const exported = (as: string) => logAddress(`/api/v1/tests?format=${as}`, { text, sort, filter, from: 0 });
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
  {#if !choosing && data.kept > 0}
    <button type="button" class="btn btn-secondary" onclick={() => (choosing = true)}>{t.log.choose}</button>
  {/if}
</div>

<div class="flex flex-wrap items-start gap-x-8 mb-4">
  <LogFilters bind:filter choices={data.choices} />
  <KeptViews views={data.views} query={wanted.split('?')[1] ?? ''} />
</div>
{#if away && !answered}<p class="wrong">{t.log.onlyHere}</p>{/if}
{#if data.kept === 0}
  <p class="faded">{t.log.empty}</p>
{:else if lines.length === 0 && (answered || away)}
  <p class="faded">{text ? t.log.noMatch(text) : t.log.noneSo}</p>
{:else}
  <FirstTime page="log" />
  <LogTable
    {lines}
    {sort}
    picked={choosing ? new Set(picked.keys()) : undefined}
    onpick={pick}
    onsort={(by) => (sort = by)}
    now={clock.now}
    {format}
  />
{/if}
<LogPages
  path="/log"
  asked={{ ...data.asked, text, sort, filter }}
  shown={lines.length}
  found={answered ? data.found : lines.length}
>
  <a class="link" href={wanted.replace('/log', '/log/groups')}>{t.log.groups.title}</a>
  <a class="link" href={exported('csv')} download>{t.test.exportCsv}</a>
  <a class="link" href={exported('json')} download>{t.test.exportJson}</a>
  <a class="link" href="/log/import">{t.taking.link}</a>
  <a class="link" href="/log/bin">{t.log.bin}{data.binned > 0 ? ` (${data.binned})` : ''}</a>
</LogPages>

{#if choosing}<Several picked={[...picked.values()]} onclear={stopChoosing} />{/if}

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
