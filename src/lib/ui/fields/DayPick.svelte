<!-- @component The calendar of a day's field: typed, or picked. Fetched by `DayField`. -->
<script lang="ts">
  import { DatePicker, Portal, parseDate } from '@skeletonlabs/skeleton-svelte';
  import CalendarDays from '@lucide/svelte/icons/calendar-days';
  import { readDay } from './time';
  import { t } from '$lib/words';

  type Props = {
    /** `2026-03-31`, or what is no day. */
    value: string;
    /** Latest day that may be picked. */
    max?: string;
    /** Told of the day that is picked, as 2026-03-31. */
    onpick: (day: string) => void;
  };
  let { value, max, onpick }: Props = $props();
  const known = $derived(readDay(value) === value ? [parseDate(value)] : []);
</script>

<DatePicker
  value={known}
  max={max ? parseDate(max) : undefined}
  locale="en-GB"
  startOfWeek={1}
  onValueChange={(e) => onpick(e.value[0]?.toString() ?? '')}
  defaultOpen
  positioning={{ placement: 'bottom-end' }}
>
  <DatePicker.Control class="flex">
    <DatePicker.Trigger
      class="inline-grid place-items-center flex-none size-touch"
      aria-label={t.fields.calendar}
    >
      <CalendarDays size={20} aria-hidden="true" />
    </DatePicker.Trigger>
  </DatePicker.Control>
  <Portal>
    <DatePicker.Positioner class="z-20!">
      <DatePicker.Content class="sheet p-4">
        <DatePicker.View view="day">
          <DatePicker.Context>
            {#snippet children(picker)}
              <DatePicker.ViewControl>
                <DatePicker.PrevTrigger aria-label={t.fields.monthBefore} />
                <DatePicker.ViewTrigger><DatePicker.RangeText /></DatePicker.ViewTrigger>
                <DatePicker.NextTrigger aria-label={t.fields.monthAfter} />
              </DatePicker.ViewControl>
              <DatePicker.Table>
                <DatePicker.TableHead>
                  <DatePicker.TableRow>
                    {#each picker().weekDays as day (day.long)}
                      <DatePicker.TableHeader>{day.short}</DatePicker.TableHeader>
                    {/each}
                  </DatePicker.TableRow>
                </DatePicker.TableHead>
                <DatePicker.TableBody>
                  {#each picker().weeks as week (week[0].toString())}
                    <DatePicker.TableRow>
                      {#each week as day (day.toString())}
                        <DatePicker.TableCell value={day}>
                          <DatePicker.TableCellTrigger>{day.day}</DatePicker.TableCellTrigger>
                        </DatePicker.TableCell>
                      {/each}
                    </DatePicker.TableRow>
                  {/each}
                </DatePicker.TableBody>
              </DatePicker.Table>
            {/snippet}
          </DatePicker.Context>
        </DatePicker.View>
      </DatePicker.Content>
    </DatePicker.Positioner>
  </Portal>
</DatePicker>
