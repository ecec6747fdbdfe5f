<!-- @component The marks of a test, run by run, the latest first, and those that are still to be made. -->
<script lang="ts">
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import MarksList from './MarksList.svelte';
  import OpenMarks from './OpenMarks.svelte';

  type Props = {
    jar: JarRecord;
    /** All that are on record, the first first. */
    runs: readonly RunRecord[];
    /** The one that stands, with what still waits to be sent. */
    run: RunRecord | null | undefined;
    format: Format;
    now: number;
    /** Whether the test is open to changes. */
    live: boolean;
  };
  let { jar, runs, run, format, now, live }: Props = $props();
</script>

<section>
  <h2>{t.jar.marks}</h2>
  {#each [...runs].reverse() as old (old.id)}
    {@const current = run?.id === old.id ? run : old}
    {#if runs.length > 1}
      <h3 class="mt-3">
        {t.jar.run(old.no)}
        {#if old.endReason}<span class="faded font-text text-base font-normal leading-[normal]"
            >{t.jar.ended(t.endReason[old.endReason])}</span
          >{/if}
      </h3>
    {/if}
    <MarksList {jar} run={current} {format} editable={live} />
    {#if live && old.endedAt === null && current.stood === null}
      <OpenMarks {jar} run={current} {now} />
    {/if}
  {:else}
    {#if run}<MarksList {jar} {run} {format} editable={live} />{:else}<p class="faded">
        {t.jar.noMarks}
      </p>{/if}
  {/each}
</section>
