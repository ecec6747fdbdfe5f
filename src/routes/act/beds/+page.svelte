<script lang="ts">
  import { ulid } from 'ulid';
  import { record } from '$lib/browser/actions';
  import BedEdit from '$lib/ui/act/BedEdit.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { t } from '$lib/words';
  import { windowBounds } from '$lib/words/verdict';

  let { data } = $props();
  /** The bed that is written, and the one it is written from. */
  let writing = $state<{ key: string; from: string } | undefined>();
  const own = () => `own-${ulid().toLowerCase()}`;
</script>

<div class="pt-5 max-w-[56rem]">
  <p><BackLink href="/act" label={t.act.title} /></p>
  <h1 class="text-3xl">{t.act.beds.title}</h1>
  <p class="mt-2 max-w-[42rem]">{t.act.beds.lead}</p>
  {#each data.beds as { profile, own: mine, changed } (profile.id)}
    {@const writes = writing?.from === profile.id ? writing : undefined}
    <section class="mt-6 pt-4 border-t border-hair" aria-label={profile.name}>
      <h2>
        {profile.name}
        <span class="faded small"
          >{t.act.beds.version(profile.version)}{mine ? `, ${t.act.beds.own}` : ''}{changed
            ? `, ${t.act.beds.changed}`
            : ''}</span
        >
      </h2>
      {#if writes}
        <BedEdit
          {profile}
          bedKey={writes.key}
          copied={writes.key !== profile.id}
          onleave={() => (writing = undefined)}
        />
      {:else}
        <ul class="plain-list">
          {#each profile.windows as window (window.of)}
            <li class="py-1">
              <strong>{t.act.window[window.of]}</strong>
              {windowBounds(window)}. <span class="faded small">{window.reason}</span>
            </li>
          {/each}
        </ul>
        <p class="faded small">{profile.basis}</p>
        <p class="row-of-actions mt-2">
          <button
            type="button"
            class="btn btn-secondary"
            aria-label={`${t.act.beds.change}: ${profile.name}`}
            onclick={() => (writing = { key: profile.id, from: profile.id })}>{t.act.beds.change}</button
          >
          <button
            type="button"
            class="btn btn-secondary"
            aria-label={`${t.act.beds.copy}: ${profile.name}`}
            onclick={() => (writing = { key: own(), from: profile.id })}>{t.act.beds.copy}</button
          >
          {#if changed}
            <button
              type="button"
              class="btn btn-secondary"
              onclick={() => record('bed.retire', { bedKey: profile.id }, t.act.beds.back(profile.name))}
              >{t.act.beds.putBack}</button
            >
          {:else if mine}
            <button
              type="button"
              class="btn btn-secondary"
              aria-label={`${t.act.beds.takeOff}: ${profile.name}`}
              onclick={() => record('bed.retire', { bedKey: profile.id }, t.act.beds.off(profile.name))}
              >{t.act.beds.takeOff}</button
            >
          {/if}
        </p>
      {/if}
    </section>
  {/each}
</div>
