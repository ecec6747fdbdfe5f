<!-- @component A reminder to test an area again: onto the bench, and into the calendar. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import type { ReminderRecord } from '$lib/contract/records/reminder';
  import { record } from '$lib/browser/actions';
  import { AGAIN, testAgainAt, type TestAgain } from '$lib/workbench/reminders';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = {
    area: { id: string; name: string };
    reminders: readonly ReminderRecord[];
    format: Format;
    now: number;
  };
  let { area, reminders, format, now }: Props = $props();

  const remind = (wait: TestAgain) =>
    record(
      'reminder.add',
      {
        reminderId: ulid(),
        kind: 'test',
        name: t.seasons.againName(area.name),
        areaId: area.id,
        dueAt: testAgainAt(now, wait)
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
    {#each AGAIN as wait (wait)}
      <button type="button" class="btn btn-secondary" onclick={() => remind(wait)}
        >{t.seasons.remindIn[wait]}</button
      >
    {/each}
  </p>
</section>
