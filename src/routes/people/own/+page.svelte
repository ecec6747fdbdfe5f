<script lang="ts">
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import PassphraseField from '$lib/ui/people/PassphraseField.svelte';
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
  <PassphraseField label={t.people.now} name="now" error={errors.now} />
  <PassphraseField label={t.people.nextPassphrase} name="next" error={errors.next} fresh />
  <button class="btn btn-primary justify-self-start">{t.people.change}</button>
</form>
<Sessions sessions={data.sessions} now={clock.now} {format} />
