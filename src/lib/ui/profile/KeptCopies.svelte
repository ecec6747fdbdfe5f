<!-- @component Copies of the record: one a day by itself, looked through; what stood in the way of the last, and one now. -->
<script lang="ts">
  import { lookAgain } from '$lib/browser/look-again';
  import type { DayCopy } from '$lib/workbench/copies';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';

  type Props = { copies: { list: DayCopy[]; folder: string; problem: string | null }; format: Format };
  let { copies, format }: Props = $props();

  /** So many are shown; the rest are in the folder. */
  const SHOWN = 5;
  let making = $state(false);
  let problem = $state<string>();
  const wrong = $derived(problem ?? copies.problem);

  async function make() {
    making = true;
    problem = undefined;
    const answer = await fetch('/api/v1/copies', { method: 'POST' }).catch(() => undefined);
    if (!answer) problem = t.outbox.unreachable;
    else if (!answer.ok) problem = ((await answer.json()) as { message: string }).message;
    await lookAgain().catch(() => {});
    making = false;
  }
</script>

<section class="mt-7 max-w-reading" aria-labelledby="copies">
  <h2 id="copies">{t.profile.copies.title}</h2>
  <p class="faded">{t.profile.copies.lead}</p>
  {#if wrong}<p class="wrong" role="alert">{t.profile.copies.failed(wrong)}</p>{/if}
  {#if copies.list.length === 0}
    <p>{t.profile.copies.none}</p>
  {:else}
    <ul class="plain-list my-3">
      {#each copies.list.slice(0, SHOWN) as copy (copy.name)}
        <li class="flex flex-wrap gap-x-5 py-2 border-b border-hair">
          <b>{format.day(copy.at)}, {format.time(copy.at)}</b>
          <span>{t.profile.copies.holds(copy.tests, copy.samples, (copy.bytes / 1e6).toFixed(1))}</span>
        </li>
      {/each}
    </ul>
    <p class="faded">
      {t.profile.copies.back} <code>./tivrel restore {copies.folder}/{copies.list[0].name}</code>
    </p>
  {/if}
  <p class="mt-3">
    <button type="button" class="btn btn-secondary" disabled={making} onclick={make}
      >{t.profile.copies.now}</button
    >
  </p>
</section>
