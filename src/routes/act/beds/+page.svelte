<script lang="ts">
  import { record } from '$lib/browser/actions';
  import BedEdit from '$lib/ui/act/BedEdit.svelte';
  import ProfileList from '$lib/ui/act/ProfileList.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { t } from '$lib/words';
  import { windowBounds } from '$lib/words/verdict';

  let { data } = $props();
</script>

<div class="pt-5 max-w-[56rem]">
  <p><BackLink href="/act" label={t.act.title} /></p>
  <h1 class="text-3xl">{t.act.beds.title}</h1>
  <p class="mt-2 max-w-[42rem]">{t.act.beds.lead}</p>
  <ProfileList offered={data.beds} onretire={(bedKey, said) => record('bed.retire', { bedKey }, said)}>
    {#snippet shown(profile)}
      <ul class="plain-list">
        {#each profile.windows as window (window.of)}
          <li class="py-1">
            <strong>{t.act.window[window.of]}</strong>
            {windowBounds(window)}. <span class="faded small">{window.reason}</span>
          </li>
        {/each}
      </ul>
    {/snippet}
    {#snippet edit({ profile, key, copied, leave })}
      <BedEdit {profile} {key} {copied} onleave={leave} />
    {/snippet}
  </ProfileList>
</div>
