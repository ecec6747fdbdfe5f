<script lang="ts">
  import { enhance } from '$app/forms';
  import { page } from '$app/state';
  import { clock } from '$lib/browser/clock.svelte';
  import { ROLES, type PersonRecord } from '$lib/contract/records/person';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import Invited from '$lib/ui/people/Invited.svelte';
  import PersonFields from '$lib/ui/people/PersonFields.svelte';
  import { sentOf } from '$lib/ui/people/sent';
  import Sessions from '$lib/ui/people/Sessions.svelte';
  import Sheet from '$lib/ui/station/Sheet.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  let { data, form } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const sent = $derived(sentOf(form));
  const errors = $derived(sent.errors ?? {});
  const there = $derived(data.people.some((one) => one.comesIn));
  let role = $state<PersonRecord['role']>('helper');
  let ending = $state.raw<PersonRecord>();
</script>

<p class="mt-6"><BackLink href="/profile" label={t.profile.title} /></p>
<h1>{t.people.title}</h1>
{#if errors['']}<p class="wrong mt-3" role="alert">{errors['']}</p>{/if}

{#if !there}
  <p class="max-w-reading">{data.byBench ? t.people.noneDoor : t.people.none}</p>
  <form class="grid gap-5 max-w-[26rem] mt-5" method="post" action="?/first">
    <PersonFields {errors} typed={sent.typed} />
    <button class="btn btn-primary justify-self-start">{t.people.first}</button>
  </form>
  {#if data.people.length > 0}{@render crew()}{/if}
{:else}
  <p class="max-w-reading">{t.people.lead}</p>
  {@render crew()}

  <section class="mt-7 max-w-reading" aria-labelledby="invite">
    <h2 id="invite">{t.people.inviteTitle}</h2>
    <form class="flex flex-wrap items-end gap-6 mt-3" method="post" action="?/invite" use:enhance>
      <input type="hidden" name="role" value={role} />
      <Choice
        label={t.people.inviteAs}
        bind:value={role}
        options={ROLES.map((value) => ({ value, label: t.people.roles[value] }))}
      />
      <button class="btn btn-primary">{t.people.invite}</button>
    </form>
    <p class="faded mt-2">{t.people.roles[role]}: {t.people.rolesDo[role]}</p>
    {#if sent.code && sent.role}<Invited code={sent.code} role={sent.role} />{/if}
    {#if data.invites.length > 0}
      <h3 class="mt-5">{t.people.open}</h3>
      <ul class="plain-list">
        {#each data.invites as one (one.id)}
          <li class="flex flex-wrap items-center gap-x-5 border-b border-hair">
            <span class="grow"
              >{t.people.openOne(t.people.roles[one.role], one.who, format.day(one.expiresAt))}</span
            >
            <form method="post" action="?/withdraw" use:enhance>
              <input type="hidden" name="id" value={one.id} />
              <button class="link min-h-touch">{t.people.withdraw}</button>
            </form>
          </li>
        {/each}
      </ul>
    {/if}
  </section>
  <Sessions sessions={data.sessions} now={clock.now} {format} />
{/if}

<Sheet
  bind:open={() => ending !== undefined, (open) => !open && (ending = undefined)}
  title={ending ? t.people.endTitle(ending.name) : ''}
  lead={t.people.endLead}
>
  {#snippet actions()}
    <form
      method="post"
      action="?/end"
      use:enhance={() => {
        ending = undefined;
      }}
    >
      <input type="hidden" name="id" value={ending?.id} />
      <button class="btn btn-primary">{t.people.end}</button>
    </form>
  {/snippet}
</Sheet>

{#snippet crew()}
  <ul class="plain-list mt-4 max-w-[54rem]">
    {#each data.people as one (one.id)}
      <li class="flex flex-wrap items-center gap-x-6 gap-y-1 py-2 border-b border-hair">
        <b class="text-lg min-w-[9rem]" class:faded={!one.comesIn}>{one.name}</b>
        {#if one.comesIn}
          <form method="post" action="?/role" use:enhance>
            <input type="hidden" name="id" value={one.id} />
            <select
              class="select w-auto"
              name="role"
              aria-label={t.people.roleOf(one.name)}
              value={one.role}
              onchange={(e) => e.currentTarget.form?.requestSubmit()}
            >
              {#each ROLES as as (as)}<option value={as}>{t.people.roles[as]}</option>{/each}
            </select>
          </form>
          <span class="grow faded">{t.people.since(format.day(one.createdAt))}</span>
          <button
            type="button"
            class="link min-h-touch"
            aria-label={t.people.endOf(one.name)}
            onclick={() => (ending = one)}>{t.people.end}</button
          >
        {:else}
          <span class="faded"
            >{one.endedAt === null ? t.people.wants : t.people.ended(format.day(one.endedAt))}</span
          >
        {/if}
      </li>
    {/each}
  </ul>
{/snippet}
