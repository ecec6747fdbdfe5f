<!-- @component What is done with several tests at once: side by side, labels, the bin; all with one undo. -->
<script lang="ts">
  import type { LogLine } from '$lib/contract/records/log';
  import { SEVERAL_MOST } from '$lib/contract/records/log';
  import { record } from '$lib/browser/actions';
  import { COMPARED_MOST } from '$lib/workbench/compare';
  import { t } from '$lib/words';

  type Props = { picked: LogLine[]; onclear: () => void };
  let { picked, onclear }: Props = $props();

  const read = $derived(picked.filter((line) => line.class !== null));
  const samples = $derived([...new Set(picked.map((line) => line.sampleId))]);
  async function bin() {
    const testIds = picked.map((line) => line.id);
    if (await record('tests.bin', { testIds }, t.log.binnedMany(picked.length))) onclear();
  }
</script>

<div class="several no-print" role="region" aria-label={t.log.several}>
  <strong aria-live="polite">{t.log.chosen(picked.length)}</strong>
  {#if read.length > 1 && read.length <= COMPARED_MOST}
    <a class="btn btn-secondary" href="/know/compare?tests={read.map((line) => line.id).join(',')}"
      >{t.log.sideBySide(read.length)}</a
    >
  {/if}
  {#if picked.length > 0}
    <a class="btn btn-secondary" href="/plan/labels?samples={samples.join(',')}"
      >{t.log.labels(samples.length)}</a
    >
  {/if}
  {#if picked.length > 0 && picked.length <= SEVERAL_MOST}
    <button type="button" class="btn btn-secondary" onclick={bin}>{t.log.binThem}</button>
  {/if}
  <button type="button" class="link" onclick={onclear}>{t.log.chooseNone}</button>
</div>

<style>
  .several {
    position: sticky;
    bottom: 0;
    z-index: 3;
    display: flex;
    flex-wrap: wrap;
    gap: var(--spacing-3) var(--spacing-5);
    align-items: center;
    padding: var(--spacing-3) var(--spacing-4);
    background: var(--sheet);
    border: var(--line) solid var(--rule);
  }
  @media (max-width: 900px) {
    .several {
      bottom: 66px;
    }
  }
</style>
