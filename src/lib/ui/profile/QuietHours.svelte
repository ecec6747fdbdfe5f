<!-- @component Between which hours the bench is silent; kept when the field is left. -->
<script lang="ts">
  import { t } from '$lib/words';
  import type { Profile } from '$lib/words/profile';
  import Field from '../fields/Field.svelte';
  import { readMinuteOfDay, timeOfDayText } from '../fields/time';

  type Props = { profile: Profile; keep: (fields: Partial<Profile>) => Promise<void> };
  let { profile, keep }: Props = $props();

  let typed = $state<{ quietFrom?: string; quietTo?: string }>({});
  let errors = $state<{ quietFrom?: string; quietTo?: string }>({});

  async function keepTime(field: 'quietFrom' | 'quietTo') {
    const text = typed[field];
    if (text === undefined) return;
    const minutes = readMinuteOfDay(text);
    errors[field] = minutes === undefined ? t.profile.badTime : undefined;
    if (minutes === undefined) return;
    await keep({ [field]: minutes });
    delete typed[field];
  }
</script>

<fieldset>
  <legend class="font-semibold text-base">{t.profile.quiet}</legend>
  <p class="faded small">{t.profile.quietHint}</p>
  <div class="flex gap-6 mt-3 max-w-narrow">
    {#each ['quietFrom', 'quietTo'] as const as field (field)}
      <Field label={t.profile[field]} error={errors[field]}>
        {#snippet children(entry)}
          <input
            {...entry}
            class="input"
            value={typed[field] ?? timeOfDayText(profile[field] * 60, profile.clock)}
            oninput={(e) => (typed[field] = e.currentTarget.value)}
            onchange={() => keepTime(field)}
          />
        {/snippet}
      </Field>
    {/each}
  </div>
</fieldset>
