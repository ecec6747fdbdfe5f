<!-- @component Devices that are in, each with a press that signs it out. -->
<script lang="ts">
  import { enhance } from '$app/forms';
  import type { SessionRecord } from '$lib/contract/records/person';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { sessions: readonly SessionRecord[]; now: number; format: Format };
  let { sessions, now, format }: Props = $props();

  const nameOf = ({ name, device }: SessionRecord) =>
    `${name ?? t.people.byBench}, ${t.people.device[device] ?? t.people.deviceUnknown}`;
</script>

<section class="mt-7 max-w-reading" aria-labelledby="sessions">
  <h2 id="sessions">{t.people.sessions}</h2>
  <ul class="plain-list my-3">
    {#each sessions as one (one.id)}
      <li class="flex flex-wrap items-center gap-x-5 py-1 border-b border-hair">
        <span class="grow min-h-touch flex items-center">
          {nameOf(one)}, {one.own ? t.people.thisOne : t.people.seen(format.when(one.seenAt, now))}
        </span>
        {#if !one.own}
          <form method="post" action="?/session" use:enhance>
            <input type="hidden" name="id" value={one.id} />
            <button class="link min-h-touch" aria-label={t.people.endSessionOf(nameOf(one))}
              >{t.people.endSession}</button
            >
          </form>
        {/if}
      </li>
    {/each}
  </ul>
</section>
