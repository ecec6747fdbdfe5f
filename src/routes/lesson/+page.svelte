<script lang="ts">
  import { sentOf } from '$lib/ui/people/sent';
  import Field from '$lib/ui/fields/Field.svelte';
  import { t } from '$lib/words';

  let { form } = $props();
  const w = t.lessons.join;
  const sent = $derived(sentOf(form));
</script>

<form class="grid gap-5 max-w-[26rem] my-8 mx-auto" method="post">
  <h1>{w.title}</h1>
  <p>{w.lead}</p>
  <Field label={w.code} error={sent.errors?.code ?? sent.errors?.['']}>
    {#snippet children(entry)}<input
        {...entry}
        class="input text-2xl tracking-[0.1em]"
        name="code"
        defaultValue={sent.typed?.code ?? ''}
        maxlength="20"
        autocomplete="off"
        autocapitalize="characters"
      />{/snippet}
  </Field>
  <button class="btn btn-primary">{w.next}</button>
</form>
