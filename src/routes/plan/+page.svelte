<script lang="ts">
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { commandForm } from '$lib/ui/fields/command-form.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  let name = $state('');
  const siteForm = commandForm({
    id: 'site',
    texts: () => ({ name }),
    read: (texts) => ({ errors: {}, payload: { siteId: ulid(), name: texts.name } }),
    command: 'site.add',
    // Away first: this page sends everybody on as soon as a site is there.
    keep: async (payload) => {
      await send('site.add', payload);
      await goto(`/plan/ground/${payload.siteId}`);
    },
    draft: { key: 'site-name', take: (kept) => (name = kept.name) }
  });
  const errors = $derived(siteForm.errors);
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{data.first ? t.ground.emptyTitle : t.ground.newSite}</h1>
<p class="max-w-[42rem] text-faded">{t.ground.emptyLead}</p>
<form class="max-w-[30rem] grid gap-5 mt-5" use:siteForm.enhance method="POST" novalidate>
  <Field label={t.ground.siteName} hint={t.ground.siteNameHint} error={errors.name}>
    {#snippet children(entry)}<input {...entry} class="input" bind:value={name} maxlength="80" />{/snippet}
  </Field>
  {#if errors['']}<p class="wrong" role="alert">{errors['']}</p>{/if}
  <div class="row-of-actions"><button class="btn btn-primary">{t.ground.startSketch}</button></div>
</form>
