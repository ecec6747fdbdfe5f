<script lang="ts">
  import { onMount } from 'svelte';
  import PersonFields from '$lib/ui/people/PersonFields.svelte';
  import { sentOf } from '$lib/ui/people/sent';
  import Field from '$lib/ui/fields/Field.svelte';
  import { t } from '$lib/words';

  let { form } = $props();
  /** A link carries its code behind the #, which no server writes down. */
  let linked = $state('');
  onMount(() => (linked = decodeURIComponent(location.hash.slice(1))));
  const sent = $derived(sentOf(form));
  const code = $derived(sent.code ?? sent.typed?.code ?? linked);
  const errors = $derived(sent.errors ?? {});
  const problem = $derived(errors.code ?? errors['']);
  const { role } = $derived(sent);
  const joining = $derived(role !== undefined || sent.typed?.name !== undefined);
</script>

<form class="grid gap-5 max-w-[26rem] my-8 mx-auto" method="post" action={joining ? '?/join' : '?/code'}>
  <h1>{t.people.joinTitle}</h1>
  {#if joining}
    {#if role}<p>{t.people.joinLead(t.people.roles[role])}</p>{/if}
    <input type="hidden" name="code" value={code} />
    {#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
    <PersonFields {errors} typed={sent.typed} />
    <button class="btn btn-primary">{t.people.join}</button>
  {:else}
    <p>{t.people.joinAsk}</p>
    <Field label={t.people.code} error={problem}>
      {#snippet children(entry)}<input
          {...entry}
          class="input"
          name="code"
          defaultValue={code}
          maxlength="40"
          autocomplete="off"
        />{/snippet}
    </Field>
    <button class="btn btn-primary">{t.people.next}</button>
  {/if}
</form>
