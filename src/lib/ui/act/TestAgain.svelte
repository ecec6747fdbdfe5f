<!-- @component A reminder to test an area again: onto the bench, and into the calendar. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import type { ReminderRecord } from '$lib/contract/records/judgement';
  import { record } from '$lib/browser/actions';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = {
    area: { id: string; name: string };
    reminders: readonly ReminderRecord[];
    format: Format;
    now: number;
  };
  let { area, reminders, format, now }: Props = $props();

  const DAY_MS = 86_400_000;
  const WAITS = { half: 183, year: 365, two: 730 } as const;
  const remind = (days: number) =>
    record(
      'reminder.add',
      {
        reminderId: ulid(),
        kind: 'test',
        name: t.seasons.againName(area.name),
        areaId: area.id,
        dueAt: now + days * DAY_MS
      },
      t.seasons.reminded(area.name)
    );
</script>

<section aria-label={t.seasons.again} class="no-print">
  <h2>{t.seasons.again}</h2>
  {#each reminders as one (one.id)}
    <p class="flex flex-wrap gap-5 items-center">
      <span>{format.day(one.dueAt)}</span>
      <a class="link" href="/api/v1/reminders.ics" download>{t.seasons.remind}</a>
      <button
        type="button"
        class="link min-h-touch"
        onclick={() => record('reminder.end', { reminderId: one.id }, t.seasons.ended)}
        >{t.ground.takeOff}</button
      >
    </p>
  {/each}
  <p class="row-of-actions mt-2">
    {#each ['half', 'year', 'two'] as const as wait (wait)}
      <button type="button" class="btn btn-secondary" onclick={() => remind(WAITS[wait])}
        >{t.seasons.remindIn[wait]}</button
      >
    {/each}
  </p>
</section>
