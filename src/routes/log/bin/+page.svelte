<script lang="ts">
  import { page } from '$app/state';
  import type { LogLine } from '$lib/contract/records/log';
  import { formatFor } from '$lib/words/format';
  import LogPages from '$lib/ui/log/LogPages.svelte';
  import LogTable from '$lib/ui/log/LogTable.svelte';
  import { problemText, record } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { say, sayProblem } from '$lib/browser/toasts';
  import Sheet from '$lib/ui/station/Sheet.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let asking = $state(false);

  async function restore(line: LogLine) {
    await record('test.restore', { testId: line.id }, t.log.restored(line.code));
  }
  async function empty() {
    asking = false;
    try {
      await send('bin.empty', {});
      say(t.log.emptied);
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }
</script>

<div class="flex gap-7 items-baseline mt-7 mb-5">
  <h1>{t.log.binTitle}</h1>
  <a class="link" href="/log">{t.log.back}</a>
</div>
{#if data.found === 0}
  <p class="faded">{t.log.binEmpty}</p>
{:else}
  <p class="faded">{t.log.binLead}</p>
  <LogTable lines={data.lines} now={clock.now} {format}>
    {#snippet action(line)}
      <button
        type="button"
        class="btn btn-secondary"
        aria-label="{t.log.restore} {line.code}"
        onclick={() => restore(line)}>{t.log.restore}</button
      >
    {/snippet}
  </LogTable>
  <LogPages path="/log/bin" asked={data.asked} shown={data.lines.length} found={data.found} />
  <p class="mt-6">
    <button type="button" class="btn btn-secondary" onclick={() => (asking = true)}>{t.log.emptyBin}</button>
  </p>
{/if}
<Sheet bind:open={asking} title={t.log.emptyTitle} lead={t.log.emptyLead(data.found)}>
  {#snippet actions()}<button type="button" class="btn btn-primary" onclick={empty}>{t.log.emptyBin}</button
    >{/snippet}
</Sheet>
