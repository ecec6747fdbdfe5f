<script lang="ts">
  import { record } from '$lib/browser/actions';
  import ProfileList from '$lib/ui/act/ProfileList.svelte';
  import TechniqueEdit from '$lib/ui/act/TechniqueEdit.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { t } from '$lib/words';
  import { boundsText } from '$lib/words/bounds';
  import { wallBounds } from '$lib/words/wall';

  let { data } = $props();
</script>

<div class="pt-5 max-w-[60rem]">
  <p><BackLink href="/act?ask=wall" label={t.act.title} /></p>
  <h1 class="text-3xl">{t.wall.techniques.title}</h1>
  <p class="mt-2 max-w-[42rem]">{t.wall.techniques.lead}</p>
  <ProfileList
    offered={data.techniques}
    onretire={(techniqueKey, said) => record('technique.retire', { techniqueKey }, said)}
  >
    {#snippet shown(technique)}
      <ul class="plain-list">
        {#each technique.windows as window (window.of)}
          <li class="py-1">
            <strong>{wallBounds(window)}</strong>{window.best
              ? `, ${t.wall.techniques.best(boundsText(window.best, t.wall.of[window.of].unit))}`
              : ''}.
            <span class="faded small">{window.reason}</span>
          </li>
        {/each}
      </ul>
    {/snippet}
    {#snippet edit({ profile, key, copied, leave })}
      <TechniqueEdit technique={profile} {key} {copied} onleave={leave} />
    {/snippet}
  </ProfileList>
</div>
