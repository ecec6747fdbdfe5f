<!-- @component What happened to a jar that goes on standing: one press, with its time. -->
<script lang="ts">
  import { JAR_NOTES, type JarNote } from '$lib/contract/records/run';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { record } from '$lib/browser/actions';
  import { t } from '$lib/words';

  type Props = { jar: JarRecord };
  let { jar }: Props = $props();

  const note = (kind: JarNote) =>
    record('jar.note', { testId: jar.id, kind }, t.jar.noted(jar.code, t.jarNote[kind]));
</script>

<div
  class="notes no-print flex flex-wrap gap-y-1 gap-x-4 items-center mt-3"
  role="group"
  aria-label={t.jar.noteIt}
>
  <span class="faded">{t.jar.noteIt}</span>
  {#each JAR_NOTES as kind (kind)}
    <button type="button" class="btn btn-secondary" onclick={() => note(kind)}>{t.jarNote[kind]}</button>
  {/each}
</div>

<style>
  .notes .btn-secondary {
    border-bottom-style: dotted;
    padding-inline: var(--spacing-2);
  }
</style>
