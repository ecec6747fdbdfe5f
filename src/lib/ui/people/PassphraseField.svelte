<!-- @component A passphrase: never shown, and told to a keeper of passphrases as what it is. -->
<script lang="ts">
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';

  type Props = {
    label: string;
    /** By which the form sends it. */
    name: string;
    error?: string;
    /** One is chosen, and not asked for. */
    fresh?: boolean;
  };
  let { label, name, error, fresh = false }: Props = $props();
</script>

<Field {label} hint={fresh ? t.people.passphraseHint : undefined} {error}>
  {#snippet children(entry)}<input
      {...entry}
      class="input"
      type="password"
      {name}
      autocomplete={fresh ? 'new-password' : 'current-password'}
    />{/snippet}
</Field>
