<!-- @component A moment: a day and a time of day, by the clock of the profile. -->
<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';
  import DayField from './DayField.svelte';
  import { readTimeOfDay, timeOfDayText } from './time';

  type Entry = { id: string; 'aria-invalid': 'true' | undefined; 'aria-describedby': string | undefined };
  type Props = {
    /** From `Field`: id and what describes it. */
    entry: Entry;
    /** `2026-03-31T14:05:30` by the wall, nothing, or what was typed where that is no moment. */
    value: string;
  };
  let { entry, value = $bindable() }: Props = $props();

  const clock = $derived<'24' | '12'>(page.data.profile.clock);
  const day = $derived(value.split('T')[0]);
  const time = $derived(value.split('T')[1] ?? '');
  const timeText = $derived.by(() => {
    const seconds = readTimeOfDay(time);
    return seconds === undefined ? time : timeOfDayText(seconds, clock);
  });

  function put(newDay: string, typed: string) {
    const seconds = readTimeOfDay(typed);
    const wall = seconds === undefined ? typed.trim() : timeOfDayText(seconds, '24');
    value = newDay === '' && wall === '' ? '' : `${newDay}T${wall}`;
  }
</script>

<span class="grid grid-cols-[1.5fr_1fr] gap-3">
  <DayField {entry} bind:value={() => day, (next) => put(next, time)} ontime={put} />
  <input
    class="input"
    aria-label={t.fields.time}
    aria-invalid={entry['aria-invalid']}
    value={timeText}
    placeholder={timeOfDayText(50_700, clock)}
    onchange={(e) => put(day, e.currentTarget.value)}
  />
</span>
