<!-- @component What somebody is called, and the passphrase they come in by. -->
<script lang="ts">
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import PassphraseField from './PassphraseField.svelte';

  type Props = { errors: Record<string, string>; typed?: Record<string, string> };
  let { errors, typed = {} }: Props = $props();
</script>

<Field label={t.people.name} error={errors.name}>
  {#snippet children(entry)}<input
      {...entry}
      class="input"
      name="name"
      defaultValue={typed.name ?? ''}
      maxlength="40"
      autocomplete="username"
    />{/snippet}
</Field>
<PassphraseField label={t.people.passphrase} name="passphrase" error={errors.passphrase} fresh />
