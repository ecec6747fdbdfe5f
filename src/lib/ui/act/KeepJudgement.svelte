<!-- @component Keeps the verdict that stands on the page, and shows those that were kept of this test. -->
<script lang="ts">
  import { ulid } from 'ulid';
  import type { PayloadInput } from '$lib/contract/commands';
  import type { JudgementRecord } from '$lib/contract/records/judgement';
  import { record } from '$lib/browser/actions';
  import type { Format } from '$lib/words/format';
  import { keptLine } from '$lib/words/verdict';
  import { t } from '$lib/words';

  type Props = {
    /** What is kept; its id is made here. */
    payload: Omit<PayloadInput<'judgement.keep'>, 'judgementId'>;
    /** There is a verdict to keep: not of a soil that was dragged, nor by an entry that is wrong. */
    can: boolean;
    kept: readonly JudgementRecord[];
    format: Format;
  };
  let { payload, can, kept, format }: Props = $props();

  const keep = () =>
    record('judgement.keep', { judgementId: ulid(), ...$state.snapshot(payload) }, t.act.kept);
</script>

<section aria-label={t.act.keptTitle} class="no-print">
  <p>
    <button type="button" class="btn btn-secondary" disabled={!can} onclick={keep}>{t.act.keep}</button>
    {#if !can}<span class="faded small ml-4">{t.act.keepNot}</span>{/if}
  </p>
  {#if kept.length > 0}
    <h2 class="text-lg mt-4">{t.act.keptTitle}</h2>
    <ul class="plain-list">
      {#each kept as one (one.id)}
        <li class="py-1">
          <a class="link" href="/act/kept/{one.id}">{format.day(one.createdAt)}</a>: {keptLine(one.kept)}
        </li>
      {/each}
    </ul>
  {/if}
</section>
