<!-- @component What is judged or counted by: those that ship and one's own, each to be changed, copied, and put back. -->
<script lang="ts" generics="P extends { id: string; version: number; name: string; basis: string }">
  import type { Snippet } from 'svelte';
  import { ulid } from 'ulid';
  import { t } from '$lib/words';

  type Writing = { profile: P; key: string; copied: boolean; leave: () => void };
  type Props = {
    offered: readonly { profile: P; own: boolean; changed: boolean }[];
    /** Puts one back as it ships, or takes one's own off; what is said then. */
    onretire: (id: string, said: string) => void;
    shown: Snippet<[P]>;
    edit: Snippet<[Writing]>;
  };
  let { offered, onretire, shown, edit }: Props = $props();

  /** The one that is written, and what it is written from. */
  let writing = $state<{ key: string; from: string } | undefined>();
  const own = () => `own-${ulid().toLowerCase()}`;
  const leave = () => (writing = undefined);
</script>

{#snippet press(label: string, of: string, onclick: () => void)}
  <button type="button" class="btn btn-secondary" aria-label={`${label}: ${of}`} {onclick}>{label}</button>
{/snippet}

{#each offered as { profile, own: mine, changed } (profile.id)}
  {@const { id, name, version } = profile}
  <section class="mt-6 pt-4 border-t border-hair" aria-label={name}>
    <h2>
      {name}
      <span class="faded small"
        >{[
          t.profiles.version(version),
          ...(mine ? [t.profiles.own] : []),
          ...(changed ? [t.profiles.changed] : [])
        ].join(', ')}</span
      >
    </h2>
    {#if writing?.from === id}
      {@render edit({ profile, key: writing.key, copied: writing.key !== id, leave })}
    {:else}
      {@render shown(profile)}
      <p class="faded small">{profile.basis}</p>
      <p class="row-of-actions mt-2">
        {@render press(t.profiles.change, name, () => (writing = { key: id, from: id }))}
        {@render press(t.profiles.copy, name, () => (writing = { key: own(), from: id }))}
        {#if changed}
          {@render press(t.profiles.putBack, name, () => onretire(id, t.profiles.back(name)))}
        {:else if mine}
          {@render press(t.profiles.takeOff, name, () => onretire(id, t.profiles.off(name)))}
        {/if}
      </p>
    {/if}
  </section>
{/each}
