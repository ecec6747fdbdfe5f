<!-- @component What stands over every report; kept when the field is left. -->
<script lang="ts">
  import { t } from '$lib/words';
  import { isLetterhead, LETTERHEAD, type Profile } from '$lib/words/profile';
  import Field from '../fields/Field.svelte';

  type Props = { profile: Profile; keep: (fields: Partial<Profile>) => Promise<void> };
  let { profile, keep }: Props = $props();

  let typed = $state<string>();
  const text = $derived(typed ?? profile.letterhead);
  const error = $derived(isLetterhead(text) ? undefined : LETTERHEAD.tooLong);

  async function keepIt() {
    if (typed === undefined || error) return;
    await keep({ letterhead: typed });
    typed = undefined;
  }
</script>

<Field label={t.report.letterhead} hint={t.report.letterheadHint} {error}>
  {#snippet children(entry)}
    <textarea
      {...entry}
      class="textarea"
      rows={LETTERHEAD.lines}
      maxlength={LETTERHEAD.letters}
      value={text}
      oninput={(e) => (typed = e.currentTarget.value)}
      onchange={keepIt}></textarea>
  {/snippet}
</Field>
