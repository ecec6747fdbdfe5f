<!-- @component Tables that were taken in, each with what came of it, and a press that takes it back. -->
<script lang="ts">
  import type { ImportRecord } from '$lib/contract/records/import';
  import { say, sayProblem } from '$lib/browser/toasts';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { takeTableBack } from './taking-in.svelte';

  type Props = { imports: readonly ImportRecord[]; now: number; format: Format };
  let { imports, now, format }: Props = $props();

  let going = $state<string>();
  async function takeBack({ id, name }: ImportRecord) {
    going = id;
    try {
      say(t.taking.tookBack(name, (await takeTableBack(id)).stayed ?? 0));
    } catch (problem) {
      sayProblem(problem instanceof Error ? problem.message : t.outbox.failed);
    }
    going = undefined;
  }
</script>

<section class="mt-7 max-w-reading" aria-labelledby="taken-in">
  <h2 id="taken-in">{t.taking.before}</h2>
  <ul class="plain-list my-3">
    {#each imports as one (one.id)}
      <li class="flex flex-wrap items-center gap-x-5 py-2 border-b border-hair">
        <b>{one.name}</b>
        <span class="grow">
          {format.when(one.startedAt, now)}, {one.undoneAt === null
            ? t.taking.rows(one.done)
            : t.taking.backAgain(one.stayed ?? 0)}
        </span>
        {#if one.undoneAt === null && one.finishedAt !== null}
          <a class="link" href="/log?table={one.id}">{t.taking.see}</a>
          <button
            type="button"
            class="btn btn-secondary"
            disabled={going === one.id}
            aria-label={t.taking.takeBackOf(one.name)}
            onclick={() => takeBack(one)}>{going === one.id ? t.taking.goingBack : t.taking.takeBack}</button
          >
        {/if}
      </li>
    {/each}
  </ul>
</section>
