<!-- @component Results that a test had before it was opened again. -->
<script lang="ts">
  import type { ResultRecord } from '$lib/contract/records/result';
  import type { Format } from '$lib/words/format';
  import { resultHeadline } from '$lib/words/headline';
  import { t } from '$lib/words';

  let { results, format }: { results: readonly ResultRecord[]; format: Format } = $props();
  const reopened = $derived(
    results.flatMap((r) => (r.reopenedAt === null ? [] : [{ ...r, reopenedAt: r.reopenedAt }]))
  );
</script>

{#if reopened.length > 0}
  <section>
    <h2>{t.test.earlier}</h2>
    <ul class="plain-list">
      {#each reopened as old (old.id)}
        <li>
          {resultHeadline(old.snapshot.result)}
          <span class="faded small"
            >{t.test.kept(format.full(old.at), old.coreVersion)}
            {t.test.reopened(format.full(old.reopenedAt))}</span
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
