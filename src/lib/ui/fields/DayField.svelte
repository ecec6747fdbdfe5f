<!--
  @component A day: typed as people write it and shown back in words, or picked from a calendar. The calendar, and what reads days
  that are written in some other way, are fetched when they are asked for.
-->
<script lang="ts">
  import CalendarDays from '@lucide/svelte/icons/calendar-days';
  import { clock } from '$lib/browser/clock.svelte';
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
    /** Told of a time of day that was written with the day, `14:05`. */
    ontime?: (day: string, time: string) => void;
  };
  let { entry, value = $bindable(), max, ontime }: Props = $props();

  let Pick = $state.raw<typeof DayPick>();
  async function openCalendar() {
    Pick = (await import('./DayPick.svelte')).default;
  }
  const reader = () => import('./dates');

  async function type(text: string) {
    const plain = text.trim();
    const day = readDay(plain);
    value = day ?? plain;
    if (day || plain === '') return;
    const { orderOf, readWritten } = await reader();
    const written = readWritten(plain, clock.now, orderOf(navigator.language));
    // Something else may have been typed meanwhile.
    if (!written || value !== plain) return;
    if (written.time && ontime) ontime(written.day, written.time);
    else value = written.day;
  }
</script>

<span class="flex">
  <input
    {...entry}
    class="input"
    value={dayText(value)}
    placeholder="31 Mar 2026"
    onfocus={() => void reader()}
    onchange={(e) => void type(e.currentTarget.value)}
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
