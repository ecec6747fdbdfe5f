<script lang="ts">
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { sentOf } from '$lib/ui/people/sent';
  import Sessions from '$lib/ui/people/Sessions.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  let { data, form } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const sent = $derived(sentOf(form));
  const errors = $derived(sent.errors ?? {});
</script>

<p class="mt-6"><BackLink href="/profile" label={t.profile.title} /></p>
<h1>{t.people.own}</h1>
{#if page.data.person}
  <p>{t.people.you(page.data.person.name, t.people.roles[page.data.person.role as 'helper'])}</p>
{/if}
{#if sent.changed}<p class="mt-3" role="status">{t.people.changed}</p>{/if}
{#if errors['']}<p class="wrong mt-3" role="alert">{errors['']}</p>{/if}
<form class="grid gap-5 max-w-[26rem] mt-5" method="post" action="?/passphrase">
  <Field label={t.people.now} error={errors.now}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        type="password"
        name="now"
        autocomplete="current-password"
      />{/snippet}
  </Field>
  <Field label={t.people.nextPassphrase} hint={t.people.passphraseHint} error={errors.next}>
    {#snippet children(entry)}<input
        {...entry}
        class="input"
        type="password"
        name="next"
        autocomplete="new-password"
      />{/snippet}
  </Field>
  <button class="btn btn-primary justify-self-start">{t.people.change}</button>
</form>
<Sessions sessions={data.sessions} now={clock.now} {format} />
