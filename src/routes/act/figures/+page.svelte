<script lang="ts">
  import { FIGURE_PARTS, FIGURES } from '$lib/core';
  import { record } from '$lib/browser/actions';
  import FiguresEdit from '$lib/ui/act/FiguresEdit.svelte';
  import ProfileList from '$lib/ui/act/ProfileList.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
</script>

<div class="pt-5 max-w-[56rem]">
  <p><BackLink href="/act" label={t.act.title} /></p>
  <h1 class="text-3xl">{t.figures.title}</h1>
  <p class="mt-2 max-w-[42rem]">{t.figures.lead}</p>
  <ProfileList
    offered={data.sets}
    onretire={(figuresKey, said) => record('figures.retire', { figuresKey }, said)}
  >
    {#snippet shown(set)}
      {#each FIGURE_PARTS as part (part)}
        <h3 class="text-lg text-faded mt-5 mb-1">{t.figures.parts[part]}</h3>
        <dl class="figures">
          {#each set.figures.filter(({ of }) => FIGURES[of]?.part === part) as { of, value, reason } (of)}
            {@const { name, unit } = t.figures.names[of]}
            <dt>{name}</dt>
            <dd class="font-bold whitespace-nowrap">
              {value === null ? t.figures.none : `${value} ${unit}`}
            </dd>
            <dd class="faded small">{reason}</dd>
          {/each}
        </dl>
      {/each}
    {/snippet}
    {#snippet edit({ profile, key, copied, leave })}
      <FiguresEdit set={profile} {key} {copied} onleave={leave} />
    {/snippet}
  </ProfileList>
</div>

<style>
  .figures {
    display: grid;
    grid-template-columns: minmax(0, 15rem) 9rem minmax(0, 1fr);
    gap: var(--spacing-2) var(--spacing-5);
    align-items: baseline;
  }
  @media (max-width: 640px) {
    .figures {
      grid-template-columns: minmax(0, 1fr) auto;
    }
    .figures dd.small {
      grid-column: 1 / -1;
    }
  }
</style>
