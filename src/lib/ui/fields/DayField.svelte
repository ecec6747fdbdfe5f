<!-- @component A day: typed as people write it, or picked from a calendar that is fetched when it is asked for. -->
<script lang="ts">
  import CalendarDays from '@lucide/svelte/icons/calendar-days';
  import type DayPick from './DayPick.svelte';
  import { t } from '$lib/words';
  import { dayText, readDay } from './time';

  type Entry = { id: string; 'aria-invalid': 'true' | undefined; 'aria-describedby': string | undefined };
  type Props = {
    /** From the `Field` that it stands in. */
    entry: Entry;
    /** `2026-03-31`, nothing, or what was typed where that is no day. */
    value: string;
    /** Latest day that can be meant. */
    max?: string;
  };
  let { entry, value = $bindable(), max }: Props = $props();

  let Pick = $state.raw<typeof DayPick>();
  async function openCalendar() {
    Pick = (await import('./DayPick.svelte')).default;
  }
</script>

<span class="flex">
  <input
    {...entry}
    class="input"
    value={dayText(value)}
    placeholder="31 Mar 2026"
    onchange={(e) => (value = readDay(e.currentTarget.value) ?? e.currentTarget.value.trim())}
  />
  {#if Pick}
    <Pick {value} {max} onpick={(day) => (value = day)} />
  {:else}
    <button
      type="button"
      class="inline-grid place-items-center flex-none size-touch cursor-pointer"
      aria-label={t.fields.calendar}
      onclick={openCalendar}><CalendarDays size={20} aria-hidden="true" /></button
    >
  {/if}
</span>
