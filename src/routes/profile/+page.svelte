<script lang="ts">
  import { page } from '$app/state';
  import { record } from '$lib/browser/actions';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Calls from '$lib/ui/profile/Calls.svelte';
  import { optionsOf } from '$lib/ui/profile/options';
  import KeptCopies from '$lib/ui/profile/KeptCopies.svelte';
  import Letterhead from '$lib/ui/profile/Letterhead.svelte';
  import QuietHours from '$lib/ui/profile/QuietHours.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';
  import type { Profile } from '$lib/words/profile';

  let { data } = $props();
  const profile = $derived(page.data.profile as Profile);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  async function keep(fields: Partial<Profile>) {
    await record('profile.set', fields, t.profile.saved);
  }
</script>

<h1 class="mt-7 mb-1">{t.profile.title}</h1>
<p class="faded">{t.profile.lead}</p>
<div class="grid grid-cols-[repeat(auto-fit,minmax(19rem,1fr))] gap-y-6 gap-x-8 mt-6 max-w-[60rem]">
  <Choice
    label={t.profile.length}
    value={profile.length}
    options={optionsOf(t.unitName)}
    onchange={(length) => keep({ length })}
  />
  <Choice
    label={t.profile.temperature}
    value={profile.temperature}
    options={[
      { value: 'C', label: '°C' },
      { value: 'F', label: '°F' }
    ]}
    onchange={(temperature) => keep({ temperature })}
  />
  <Choice
    label={t.profile.volume}
    value={profile.volume}
    options={optionsOf(t.profile.volumes)}
    onchange={(volume) => keep({ volume })}
  />
  <Choice
    label={t.profile.clock}
    value={profile.clock}
    options={[
      { value: '24', label: t.profile.clocks['24'] },
      { value: '12', label: t.profile.clocks['12'] }
    ]}
    onchange={(clock) => keep({ clock })}
  />
  <Choice
    label={t.profile.theme}
    value={profile.theme}
    options={optionsOf(t.profile.themes)}
    onchange={(theme) => keep({ theme })}
  />
  <Calls {profile} {keep} />
  <QuietHours {profile} {keep} />
  <Letterhead {profile} {keep} />
</div>
<KeptCopies copies={data.copies} {format} />
<section class="mt-7 max-w-reading" aria-labelledby="people">
  <h2 id="people">{t.people.title}</h2>
  {#if page.data.person}
    <p>{t.people.you(page.data.person.name, t.people.roles[page.data.person.role as 'helper'])}</p>
  {/if}
  <p class="row-of-actions mt-2">
    {#if !page.data.person || page.data.person.role === 'keeper'}
      <a class="link" href="/people">{t.people.whoComes}</a>
    {/if}
    {#if page.data.person}<a class="link" href="/people/own">{t.people.ownLink}</a>{/if}
  </p>
</section>
{#if data.shared}
  <form method="POST" action="/leave" class="mt-6">
    <p class="mb-3 max-w-reading">{t.enter.leaveLead}</p>
    <button class="btn btn-secondary">{t.enter.leave}</button>
  </form>
{/if}
