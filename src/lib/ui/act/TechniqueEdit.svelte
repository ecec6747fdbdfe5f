<!-- @component What a technique asks of a soil, as it is written. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { WALL_OF, type Technique } from '$lib/core';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import ProfileForm from './ProfileForm.svelte';
  import WindowFields from './WindowFields.svelte';
  import { readWindows, windowTexts } from './windows';

  /** `key` is what it is kept as: its own, or that of a copy. */
  type Props = { technique: Technique; key: string; copied: boolean; onleave: () => void };
  let { technique, key, copied, onleave }: Props = $props();

  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(technique.name) : technique.name,
      on: technique.on as Technique['on'],
      windows: windowTexts(technique.windows)
    }))
  );
</script>

<ProfileForm
  command="technique.save"
  from={technique.id}
  {copied}
  bind:texts
  read={({ name, on, windows }, errors) => ({
    techniqueKey: key,
    fromKey: technique.id,
    name,
    on,
    windows: readWindows(windows, errors)
  })}
  label={t.wall.techniques.name}
  said={t.wall.techniques.kept}
  {onleave}
>
  {#snippet children(errors)}
    <Choice
      label={t.wall.techniques.on}
      bind:value={texts.on}
      options={(['heights', 'mass'] as const).map((value) => ({ value, label: t.wall.on[value] }))}
    />
    <WindowFields bind:windows={texts.windows} all={WALL_OF} nameOf={(of) => t.wall.of[of]} best {errors} />
  {/snippet}
</ProfileForm>
