<!-- @component What was dug and done in an area: its drainage holes, and what was put into it. -->
<script lang="ts">
  import type { AmendmentRecord } from '$lib/contract/records/amendment';
  import type { HoleRecord } from '$lib/contract/records/hole';
  import { record } from '$lib/browser/actions';
  import { viewHole } from '$lib/workbench/holes';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import NoteAmendment from './NoteAmendment.svelte';

  type Props = {
    area: { id: string; name: string; samples: readonly unknown[] };
    holes: readonly HoleRecord[];
    amendments: readonly AmendmentRecord[];
    format: Format;
    now: number;
  };
  let { area, holes, amendments, format, now }: Props = $props();

  let noting = $state(false);
  const came = (hole: HoleRecord) => {
    const { outcome, step } = viewHole(hole, now);
    if (outcome) return (outcome.kind === 'measured' ? t.hole.result : t.hole.atMost)[outcome.drainage.class];
    return step ? t.hole.short[step.kind] : t.hole.nothing;
  };
</script>

<h3 class="mt-5 mb-1">{t.hole.plural}</h3>
<ul class="plain-list">
  {#each holes as hole (hole.id)}
    <li><a class="link" href="/holes/{hole.id}">{hole.code}</a> {came(hole)}</li>
  {/each}
</ul>
<p class="mt-2"><a class="btn btn-secondary" href="/holes/new?area={area.id}">{t.hole.newTitle}</a></p>

<h3 class="mt-5 mb-1">{t.beds.amendTitle}</h3>
<ul class="plain-list">
  {#each amendments as one (one.id)}
    <li class="grid grid-cols-[1fr_auto] gap-3 items-center min-h-[40px] border-b border-hair">
      <span>
        {format.dayOf(one.doneOn)} · {t.beds.kinds[one.kind]}{one.litres === null
          ? ''
          : ` · ${t.beds.amount(one.litres.toLocaleString('en-GB'))}`}
        {#if one.note}<span class="faded small">{one.note}</span>{/if}
      </span>
      <button
        type="button"
        class="link"
        aria-label={t.beds.takeOff(t.beds.kinds[one.kind], format.dayOf(one.doneOn))}
        onclick={() => record('amend.remove', { amendmentId: one.id }, t.beds.removed)}
        >{t.ground.takeOff}</button
      >
    </li>
  {:else}
    <li class="faded">{t.beds.none}</li>
  {/each}
</ul>
{#if noting}
  <NoteAmendment {area} today={format.isoDay(now)} onleave={() => (noting = false)} />
{:else}
  <p class="row-of-actions mt-2">
    <button type="button" class="btn btn-secondary" onclick={() => (noting = true)}>{t.beds.add}</button>
    {#if area.samples.length > 0}
      <a class="btn btn-secondary" href="/act/seasons/{area.id}">{t.seasons.title}</a>
    {/if}
  </p>
{/if}
