<!-- @component Something that was done before it is told: when, behind a link beside the button that says it is now. -->
<script lang="ts">
  import { clock } from '$lib/browser/clock.svelte';
  import { t } from '$lib/words';
  import Field from './Field.svelte';
  import MomentField from './MomentField.svelte';
  import { readEarlier } from './time';

  type Props = {
    /** What it is that was done, where there are several. */
    what?: string;
    /** It was after this, ms UTC. */
    after?: number | null;
    /** @returns whether it is kept */
    onkeep: (at: number) => Promise<boolean>;
  };
  let { what, after, onkeep }: Props = $props();
  let open = $state(false);
  let when = $state('');
  let error = $state<string>();

  async function keep() {
    const read = readEarlier(when, { now: clock.now, after: after ?? undefined });
    error = read.error;
    if (read.at === undefined || !(await onkeep(read.at))) return;
    open = false;
    when = '';
  }
</script>

{#if open}
  <form
    class="flex flex-wrap items-start gap-4 basis-full no-print"
    novalidate
    onsubmit={(e) => {
      e.preventDefault();
      void keep();
    }}
  >
    <Field label={t.earlier.when} {error}>
      {#snippet children(entry)}<MomentField {entry} bind:value={when} />{/snippet}
    </Field>
    <div class="row-of-actions mt-7">
      <button class="btn btn-secondary">{t.earlier.keep}</button>
      <button type="button" class="link" onclick={() => (open = false)}>{t.earlier.now}</button>
    </div>
  </form>
{:else}
  <button
    type="button"
    class="link min-h-touch no-print"
    aria-label={what && t.earlier.openOf(what)}
    onclick={() => (open = true)}>{t.earlier.open}</button
  >
{/if}
