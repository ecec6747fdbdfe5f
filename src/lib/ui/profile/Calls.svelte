<!-- @component How the bench calls: each way set, and tried out where it stands. -->
<script lang="ts">
  import { allowNotices } from '$lib/browser/alerts.svelte';
  import { t } from '$lib/words';
  import type { Profile } from '$lib/words/profile';
  import Choice from '../fields/Choice.svelte';
  import { optionsOf } from './options';
  import { tryAlert, type Alert } from './trials';

  type Props = { profile: Profile; keep: (fields: Partial<Profile>) => Promise<void> };
  let { profile, keep }: Props = $props();

  let noNotices = $state(false);
  let outcome = $state<{ alert: Alert; worked: boolean }>();

  async function keepNotices(notices: Profile['notices']) {
    const allowed = notices === 'off' || (await allowNotices());
    noNotices = !allowed;
    await keep({ notices: allowed ? notices : 'off' });
  }
  async function trying(alert: Alert) {
    outcome = { alert, worked: await tryAlert(alert, profile) };
  }
</script>

{#snippet said(alert: Alert)}
  {#if outcome?.alert === alert}
    <p class="small" class:wrong={!outcome.worked} role="status">
      {outcome.worked ? t.profile.worked[alert] : t.profile.refused[alert]}
    </p>
  {/if}
{/snippet}
{#snippet trial(alert: Alert, name: string)}
  <button
    type="button"
    class="btn btn-secondary"
    aria-label="{t.profile.trial}: {name}"
    onclick={() => trying(alert)}>{t.profile.trial}</button
  >
  {@render said(alert)}
{/snippet}

<div class="trial">
  <Choice
    label={t.profile.sound}
    value={profile.sound}
    options={optionsOf(t.profile.sounds)}
    onchange={(sound) => keep({ sound })}
  />
  <button
    type="button"
    class="btn btn-secondary"
    disabled={profile.sound === 'off'}
    onclick={() => trying('sound')}>{t.profile.try}</button
  >
  {@render said('sound')}
</div>
<div class="trial">
  <Choice
    label={t.profile.spoken}
    value={profile.spoken}
    options={optionsOf(t.profile.onOff)}
    onchange={(spoken) => keep({ spoken })}
  />
  {@render trial('spoken', t.profile.spoken)}
</div>
<div class="trial">
  <Choice
    label={t.profile.notices}
    bind:value={() => profile.notices, (notices) => void keepNotices(notices)}
    options={optionsOf(t.profile.onOff)}
  />
  {@render trial('notices', t.profile.notices)}
  {#if noNotices}<p class="wrong" role="alert">{t.profile.noNotices}</p>{/if}
</div>
<div class="trial">
  <div>
    <p class="font-semibold text-base">{t.profile.tab}</p>
    <p class="faded small">{t.profile.tabHint}</p>
  </div>
  {@render trial('title', t.profile.tab)}
</div>
<div class="trial">
  <div>
    <p class="font-semibold text-base">{t.profile.screen}</p>
    <p class="faded small">{t.profile.screenHint}</p>
  </div>
  {@render trial('screen', t.profile.screen)}
</div>

<style>
  .trial {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: var(--spacing-2) var(--spacing-5);
  }
  .trial > p {
    flex-basis: 100%;
  }
</style>
