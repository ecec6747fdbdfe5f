<!-- @component Opening a finished test again, and why. -->
<script lang="ts">
  import { record } from '$lib/browser/actions';
  import type { JarRecord } from '$lib/contract/records/jar';
  import { t } from '$lib/words';
  import Sheet from '../station/Sheet.svelte';

  let { jar, open = $bindable() }: { jar: JarRecord; open: boolean } = $props();
  let why = $state('');

  async function reopen() {
    open = false;
    await record('test.reopen', { testId: jar.id, why }, t.done['test.reopen'](jar.code));
  }
</script>

<Sheet bind:open title={t.test.reopen}>
  <label class="grid gap-2 mt-4 font-semibold">
    <span>{t.test.reopenWhy}</span>
    <input class="input" bind:value={why} maxlength="300" />
  </label>
  {#snippet actions()}<button
      type="button"
      class="btn btn-primary"
      disabled={why.trim() === ''}
      onclick={reopen}>{t.test.reopen}</button
    >{/snippet}
</Sheet>
