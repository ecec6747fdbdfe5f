<script lang="ts">
  import { asked, askedWith } from '$lib/browser/asked';
  import { lookAgain } from '$lib/browser/look-again';
  import { sentOf } from '$lib/ui/people/sent';
  import Field from '$lib/ui/fields/Field.svelte';
  import OwnSheetView from '$lib/ui/practice/lessons/OwnSheetView.svelte';
  import { t } from '$lib/words';

  let { data, form } = $props();
  const w = t.lessons.join;
  const sent = $derived(sentOf(form));
  const errors = $derived(sent.errors ?? {});
</script>

{#if data.own}
  <OwnSheetView
    own={data.own}
    onanswer={async (no, answer) => {
      await askedWith('PUT', `/api/v1/lesson/answers/${no}`, answer);
      await lookAgain().catch(() => {});
    }}
    onhandin={async () => {
      await asked('/api/v1/lesson/hand-in', { method: 'POST' });
      await lookAgain().catch(() => {});
    }}
  />
{:else}
  <form class="grid gap-5 max-w-[26rem] my-8 mx-auto" method="post">
    <h1>{data.title}</h1>
    <p>{w.lead}</p>
    {#if errors.code ?? errors['']}<p class="wrong" role="alert">{errors.code ?? errors['']}</p>{/if}
    {#each ['name', 'group'] as const as field (field)}
      <Field label={w[field]} error={errors[field]}>
        {#snippet children(entry)}<input
            {...entry}
            class="input"
            name={field}
            defaultValue={sent.typed?.[field] ?? ''}
            maxlength="40"
            autocomplete="off"
          />{/snippet}
      </Field>
    {/each}
    <button class="btn btn-primary">{w.button}</button>
  </form>
{/if}
