<script lang="ts">
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { problemText } from '$lib/browser/actions';
  import { CommandRefused, send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  let name = $state('');
  let errors = $state<Record<string, string>>({});
  const forget = keepsDraft<string>(
    'site-name',
    (kept) => (name = kept),
    () => name
  );

  async function add(event: SubmitEvent) {
    event.preventDefault();
    errors = {};
    const siteId = ulid();
    try {
      // Away first: this page sends everybody on as soon as a site is there.
      await send('site.add', { siteId, name });
      forget();
      await goto(`/plan/ground/${siteId}`);
    } catch (failed) {
      errors = { form: problemText(failed), ...(failed instanceof CommandRefused ? failed.fields : {}) };
    }
  }
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{data.first ? t.ground.emptyTitle : t.ground.newSite}</h1>
<p class="max-w-[42rem] text-faded">{t.ground.emptyLead}</p>
<form class="max-w-[30rem] grid gap-5 mt-5" onsubmit={add} novalidate>
  <Field label={t.ground.siteName} hint={t.ground.siteNameHint} error={errors.name}>
    {#snippet children(entry)}<input {...entry} class="input" bind:value={name} maxlength="80" />{/snippet}
  </Field>
  {#if errors.form && !errors.name}<p class="wrong" role="alert">{errors.form}</p>{/if}
  <div class="row-of-actions"><button class="btn btn-primary">{t.ground.startSketch}</button></div>
</form>
