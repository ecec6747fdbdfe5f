<script lang="ts">
  import { page } from '$app/state';
  import type { Profile } from '$lib/words/profile';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { readMinuteOfDay, timeOfDayText } from '$lib/ui/fields/time';
  import { record } from '$lib/browser/actions';
  import { allowNotices, showNotice, speak } from '$lib/browser/alerts.svelte';
  import { playCall, wakeSound } from '$lib/browser/sounds';
  import { screenCanStayOn } from '$lib/browser/wake';
  import { t } from '$lib/words';

  const profile = $derived(page.data.profile as Profile);
  let typed = $state<{ quietFrom?: string; quietTo?: string }>({});
  let errors = $state<{ quietFrom?: string; quietTo?: string; notices?: string }>({});

  async function keep(fields: Partial<Profile>) {
    await record('profile.set', fields, t.profile.saved);
  }
  async function keepTime(field: 'quietFrom' | 'quietTo') {
    const text = typed[field];
    if (text === undefined) return;
    const minutes = readMinuteOfDay(text);
    errors[field] = minutes === undefined ? t.profile.badTime : undefined;
    if (minutes === undefined) return;
    await keep({ [field]: minutes });
    delete typed[field];
  }
  async function keepNotices(notices: Profile['notices']) {
    const allowed = notices === 'off' || (await allowNotices());
    errors.notices = allowed ? undefined : t.profile.noNotices;
    await keep({ notices: allowed ? notices : 'off' });
  }
  type Alert = 'sound' | 'spoken' | 'notices' | 'title' | 'screen';
  let outcome = $state<{ alert: Alert; worked: boolean }>();
  const TITLE_MS = 5000;

  /** Every way of calling, tried out: it does what it would do, or says what stands in its way. */
  const ways: Record<Alert, () => boolean | Promise<boolean>> = {
    sound: async () => {
      wakeSound();
      await new Promise((resolve) => setTimeout(resolve, 60));
      return playCall(profile.sound);
    },
    spoken: () => speak(t.profile.trialLine),
    notices: async () =>
      (await allowNotices()) && showNotice({ key: 'trial', line: t.profile.trialLine, path: '/profile' }),
    title: () => {
      const before = document.title;
      document.title = t.profile.trialTitle;
      const icon = Object.assign(document.createElement('link'), { rel: 'icon', href: '/favicon-due.svg' });
      document.head.append(icon);
      setTimeout(() => {
        document.title = before;
        icon.remove();
      }, TITLE_MS);
      return true;
    },
    screen: () => screenCanStayOn()
  };
  async function tryAlert(alert: Alert) {
    outcome = { alert, worked: await ways[alert]() };
  }

  const options = <T extends string>(names: Record<T, string>) =>
    (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }));
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
    onclick={() => tryAlert(alert)}>{t.profile.trial}</button
  >
  {@render said(alert)}
{/snippet}

<h1 class="mt-7 mb-1">{t.profile.title}</h1>
<p class="faded">{t.profile.lead}</p>
<div class="grid grid-cols-[repeat(auto-fit,minmax(19rem,1fr))] gap-y-6 gap-x-8 mt-6 max-w-[60rem]">
  <Choice
    label={t.profile.length}
    value={profile.length}
    options={options(t.unitName)}
    onchange={(length) => keep({ length })}
  />
  <Choice
    label={t.profile.temperature}
    value={profile.temperature}
    options={[
      { value: 'C', label: '°C' },
      { value: 'F', label: '°F' }
    ]}
    onchange={(temperature) => keep({ temperature })}
  />
  <Choice
    label={t.profile.volume}
    value={profile.volume}
    options={options(t.profile.volumes)}
    onchange={(volume) => keep({ volume })}
  />
  <Choice
    label={t.profile.clock}
    value={profile.clock}
    options={[
      { value: '24', label: t.profile.clocks['24'] },
      { value: '12', label: t.profile.clocks['12'] }
    ]}
    onchange={(clock) => keep({ clock })}
  />
  <Choice
    label={t.profile.theme}
    value={profile.theme}
    options={options(t.profile.themes)}
    onchange={(theme) => keep({ theme })}
  />
  <Choice
    label={t.profile.headline}
    value={profile.headline}
    options={options(t.profile.headlines)}
    onchange={(headline) => keep({ headline })}
  />
  <div class="trial">
    <Choice
      label={t.profile.sound}
      value={profile.sound}
      options={options(t.profile.sounds)}
      onchange={(sound) => keep({ sound })}
    />
    <button
      type="button"
      class="btn btn-secondary"
      disabled={profile.sound === 'off'}
      onclick={() => tryAlert('sound')}>{t.profile.try}</button
    >
    {@render said('sound')}
  </div>
  <div class="trial">
    <Choice
      label={t.profile.spoken}
      value={profile.spoken}
      options={options(t.profile.onOff)}
      onchange={(spoken) => keep({ spoken })}
    />
    {@render trial('spoken', t.profile.spoken)}
  </div>
  <div class="trial">
    <Choice
      label={t.profile.notices}
      bind:value={() => profile.notices, (notices) => void keepNotices(notices)}
      options={options(t.profile.onOff)}
    />
    {@render trial('notices', t.profile.notices)}
    {#if errors.notices}<p class="wrong" role="alert">{errors.notices}</p>{/if}
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
