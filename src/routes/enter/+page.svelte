<script lang="ts">
  import { onMount } from 'svelte';
  import { dropKeptPages } from '$lib/browser/kept-pages';
  import Field from '$lib/ui/fields/Field.svelte';
  import PassphraseField from '$lib/ui/people/PassphraseField.svelte';
  import { t } from '$lib/words';

  let { data, form } = $props();
  // Nobody is in: pages that were kept for when the server is away are not shown any more.
  onMount(() => void dropKeptPages());
</script>

<form class="grid gap-5 max-w-[24rem] my-8 mx-auto" method="post">
  <h1>{data.byName ? t.enter.titlePeople : t.enter.title}</h1>
  <p>{data.byName ? t.enter.leadPeople : t.enter.lead}</p>
  {#if data.byName}
    <Field label={t.enter.name} hint={data.byBench ? t.enter.nameHint : undefined}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          name="name"
          defaultValue={form?.name ?? ''}
          autocomplete="username"
          maxlength="40"
        />{/snippet}
    </Field>
  {/if}
  <PassphraseField label={t.enter.field} name="passphrase" error={form?.error} />
  <button class="btn btn-primary">{t.enter.go}</button>
  {#if data.byName}<a class="link justify-self-start" href="/join">{t.people.have}</a>{/if}
</form>
