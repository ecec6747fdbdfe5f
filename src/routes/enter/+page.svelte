<script lang="ts">
  import Field from '$lib/ui/fields/Field.svelte';
  import { t } from '$lib/words';

  let { form } = $props();
</script>

<form method="post">
  <h1>{t.enter.title}</h1>
  <p>{t.enter.lead}</p>
  <Field label={t.enter.field} error={form?.error}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        type="password"
        name="passphrase"
        autocomplete="current-password"
      />{/snippet}
  </Field>
  <button class="btn btn-primary">{t.enter.go}</button>
</form>

<style>
  form {
    display: grid;
    gap: var(--spacing-5);
    max-width: 24rem;
    margin: var(--spacing-8) auto;
  }
</style>
