<script lang="ts">
  import { untrack } from 'svelte';
  import { LABEL_SHEETS, labelPlaces } from '$lib/formats/labels';
  import Field from '$lib/ui/fields/Field.svelte';
  import MakeLabels from '$lib/ui/plan/MakeLabels.svelte';
  import PlanNav from '$lib/ui/plan/PlanNav.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  /** A sample's first jar has its code; every further one has its own. */
  let chosenJars = $state<string[]>([]);
  let chosen = $state<string[]>(
    untrack(() => (data.wanted.length > 0 ? data.wanted : data.samples.map((s) => s.id)))
  );
  let sheetId = $state(LABEL_SHEETS[0].id);
  let copies = $state(1);
  let first = $state(1);

  const on = $derived(LABEL_SHEETS.find((s) => s.id === sheetId) ?? LABEL_SHEETS[0]);
  const perPage = $derived(on.columns * on.rows);
  const skip = $derived(Math.min(Math.max(1, first || 1), perPage) - 1);
  const codes = $derived(
    [
      ...data.samples.filter((s) => chosen.includes(s.id)),
      ...data.secondJars.filter((j) => chosenJars.includes(j.id))
    ].flatMap(({ code }) => Array.from({ length: Math.max(1, copies || 1) }, () => code))
  );
  const places = $derived(labelPlaces(on, codes.length, skip));
  const pages = $derived((places.at(-1)?.page ?? 0) + 1);
  const href = $derived(
    `/api/v1/labels.pdf?${new URLSearchParams({ samples: chosen.join(','), tests: chosenJars.join(','), sheet: sheetId, skip: String(skip), copies: String(Math.max(1, copies || 1)) })}`
  );
  const all = $derived(labelPlaces(on, perPage));
</script>

<PlanNav />
<h1 class="mt-3 mb-1">{t.labels.title}</h1>
<p class="faded max-w-reading mb-5">{t.labels.lead}</p>

{#if data.samples.length === 0}
  <p>{t.labels.none}</p>
{:else}
  <div
    class="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_15rem] gap-y-0 gap-x-8 items-start max-md:grid-cols-1 max-md:gap-6"
  >
    <fieldset>
      <legend class="font-head text-lg font-[620] leading-[1.3]">{t.labels.which}</legend>
      {#each data.samples as sample (sample.id)}
        <label class="flex gap-4 items-center min-h-touch border-b border-hair cursor-pointer">
          <input class="checkbox" type="checkbox" value={sample.id} bind:group={chosen} />
          <span><b>{sample.code}</b> {sample.name}</span>
        </label>
        {#each data.secondJars.filter((j) => j.sampleId === sample.id) as jar (jar.id)}
          <label class="jar flex gap-4 items-center min-h-touch border-b border-hair cursor-pointer">
            <input class="checkbox" type="checkbox" value={jar.id} bind:group={chosenJars} />
            <span><b>{jar.code}</b> {t.labels.ownCode}</span>
          </label>
        {/each}
      {/each}
    </fieldset>
    <div class="paper grid gap-5 justify-items-start">
      <Field label={t.labels.sheet}>
        {#snippet children(entry)}
          <select {...entry} class="select" bind:value={sheetId}>
            {#each LABEL_SHEETS as s (s.id)}<option value={s.id}>{s.name}</option>{/each}
          </select>
        {/snippet}
      </Field>
      <div class="grid grid-cols-[1fr_1fr] gap-y-0 gap-x-5 items-start">
        <Field label={t.labels.copies}>
          {#snippet children(entry)}
            <input {...entry} class="input" type="number" min="1" max="20" bind:value={copies} />
          {/snippet}
        </Field>
        <Field label={t.labels.first} hint={t.labels.firstHint}>
          {#snippet children(entry)}
            <input {...entry} class="input" type="number" min="1" max={perPage} bind:value={first} />
          {/snippet}
        </Field>
      </div>
      {#if codes.length === 0}
        <p class="wrong">{t.labels.noneChosen}</p>
      {:else}
        <MakeLabels {href} labels={codes.length} {pages} />
      {/if}
    </div>
    <svg viewBox="-2 -2 {on.page.width + 4} {on.page.height + 4}" aria-hidden="true">
      <rect width={on.page.width} height={on.page.height} class="page" />
      {#each all as place (`${place.x} ${place.y}`)}
        <rect
          x={place.x + 0.6}
          y={place.y + 0.6}
          width={on.label.width - 1.2}
          height={on.label.height - 1.2}
          rx="1.5"
          class="blank"
        />
      {/each}
      {#each places.filter((p) => p.page === 0) as place, i (i)}
        <rect
          x={place.x + 0.6}
          y={place.y + 0.6}
          width={on.label.width - 1.2}
          height={on.label.height - 1.2}
          rx="1.5"
          class="used"
        />
        <text x={place.x + 5} y={place.y + 13} font-size="11">{codes[i]}</text>
      {/each}
    </svg>
  </div>
{/if}

<style>
  .paper > :global(.field) {
    width: 100%;
  }
  svg {
    width: 100%;
    max-height: 26rem;
  }
  .page {
    fill: var(--sheet);
    stroke: var(--rule);
    stroke-width: 0.8;
  }
  .blank {
    fill: none;
    stroke: var(--hair);
    stroke-width: 0.5;
  }
  .used {
    fill: var(--label);
    stroke: var(--tape-edge);
    stroke-width: 0.8;
  }
  text {
    font-family: var(--face-head);
    font-weight: 700;
    fill: var(--tape-ink);
  }
</style>
