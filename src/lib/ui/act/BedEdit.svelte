<!-- @component What a bed is asked for, as it is written. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import { WINDOW_OF, type JudgeProfile } from '$lib/core';
  import { t } from '$lib/words';
  import ProfileForm from './ProfileForm.svelte';
  import WindowFields from './WindowFields.svelte';
  import { readWindows, windowTexts } from './windows';

  /** `key` is what it is kept as: its own, or that of a copy. */
  type Props = { profile: JudgeProfile; key: string; copied: boolean; onleave: () => void };
  let { profile, key, copied, onleave }: Props = $props();

  let texts = $state(
    untrack(() => ({
      name: copied ? t.profiles.copyOf(profile.name) : profile.name,
      windows: windowTexts(profile.windows)
    }))
  );
</script>

<ProfileForm
  command="bed.save"
  from={profile.id}
  {copied}
  bind:texts
  read={({ name, windows }, errors) => ({
    bedKey: key,
    fromKey: profile.id,
    name,
    windows: readWindows(windows, errors)
  })}
  label={t.act.beds.name}
  said={t.act.beds.kept}
  {onleave}
>
  {#snippet children(errors)}
    <WindowFields
      bind:windows={texts.windows}
      all={WINDOW_OF}
      nameOf={(of) => ({ name: t.act.window[of], unit: t.act.units[of] })}
      {errors}
    />
  {/snippet}
</ProfileForm>
