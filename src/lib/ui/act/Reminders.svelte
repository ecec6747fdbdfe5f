<!-- @component What is to be done beside the jars: waterings, and areas to be tested again. -->
<script lang="ts">
  import type { ReminderRecord } from '$lib/contract/records/reminder';
  import { record } from '$lib/browser/actions';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import EarlierPress from '../fields/EarlierPress.svelte';

  type Props = { reminders: readonly ReminderRecord[]; now: number; format: Format };
  let { reminders, now, format }: Props = $props();
</script>

{#if reminders.length > 0}
  <section class="mt-6" aria-label={t.seasons.due}>
    <ul class="plain-list">
      {#each reminders as one (one.id)}
        {@const due = one.dueAt <= now}
        <li class="flex flex-wrap items-center gap-x-6 min-h-touch">
          <span class={due ? 'font-bold text-pen' : ''}>
            {one.name}{one.litres === null ? '' : `, ${t.seasons.dueLitres(one.litres)}`} · {due
              ? t.step.now
              : format.when(one.dueAt, now)}
          </span>
          <button
            type="button"
            class={due ? 'btn btn-primary' : 'btn btn-secondary'}
            aria-label={`${t.seasons.done}: ${one.name}`}
            onclick={() => record('reminder.done', { reminderId: one.id }, t.seasons.didIt(one.name))}
            >{t.seasons.done}</button
          >
          <EarlierPress
            what={one.name}
            onkeep={(at) => record('reminder.done', { reminderId: one.id }, t.seasons.didIt(one.name), at)}
          />
          <button
            type="button"
            class="link min-h-touch"
            aria-label={`${t.ground.takeOff}: ${one.name}`}
            onclick={() => record('reminder.end', { reminderId: one.id }, t.seasons.ended)}
            >{t.ground.takeOff}</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
