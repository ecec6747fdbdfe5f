<!-- @component What somebody is called, and the passphrase they come in by. -->
<script lang="ts">
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';

  type Props = { errors: Record<string, string>; typed?: Record<string, string> };
  let { errors, typed = {} }: Props = $props();
</script>

<Field label={t.people.name} error={errors.name}>
  {#snippet children(entry)}<input
      {...entry}
      class="input"
      name="name"
      value={typed.name ?? ''}
      maxlength="40"
      autocomplete="username"
    />{/snippet}
</Field>
<Field label={t.people.passphrase} hint={t.people.passphraseHint} error={errors.passphrase}>
  {#snippet children(entry)}<input
      {...entry}
      class="input"
      type="password"
      name="passphrase"
      autocomplete="new-password"
    />{/snippet}
</Field>
