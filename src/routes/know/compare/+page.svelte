<script lang="ts">
  import DropButton from '$lib/ui/kit/DropButton.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { unpackPoints } from '$lib/contract/points';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { formatFor } from '$lib/words/format';
  import { chanceText, classChance } from '$lib/words/headline';
  import { compareColumns } from '$lib/workbench/compare';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import SedimentColumn from '$lib/ui/know/SedimentColumn.svelte';
  import Empty from '$lib/ui/station/Empty.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const all = $derived(unpackPoints(data.packed));
  const say = t.know.compare;
  const PARTS = ['sand', 'silt', 'clay'] as const;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let basis = $state<'height' | 'mass'>('mass');
  const columns = $derived(compareColumns(data.columns, basis === 'mass'));
  const first = $derived(columns[0]);
  /** Columns stay wide enough for their figures; twelve then slide. */
  const width = $derived(columns.length > 8 ? 66 : columns.length > 5 ? 84 : 112);

  let code = $state('');
  let error = $state<string>();
  const matching = $derived(
    all
      .filter(
        (p) =>
          !columns.some((c) => c.id === p.id) && p.code.toLowerCase().startsWith(code.trim().toLowerCase())
      )
      .slice(-40)
  );
  const show = (ids: readonly string[]) =>
    goto(ids.length > 0 ? `/know/compare?tests=${ids.join(',')}` : '/know/compare', {
      noScroll: true,
      keepFocus: true
    });
  const ids = $derived(columns.map((c) => c.id));
  async function add() {
    error = undefined;
    const wanted = code.trim().toLowerCase();
    if (wanted === '') return;
    const found = all.findLast((p) => p.code.toLowerCase() === wanted);
    if (!found) error = t.know.noSuch(code.trim());
    else if (ids.includes(found.id)) error = say.twice(found.code);
    else if (ids.length >= data.most) error = say.most;
    else {
      code = '';
      await show([...ids, found.id]);
    }
  }
  /** Samples with several tests: a place to begin. */
  const starts = $derived.by(() => {
    const bySample = new Map<string, { name: string; ids: string[] }>();
    for (const p of all) {
      const held = bySample.get(p.sampleId) ?? { name: p.sampleName, ids: [] };
      held.ids.push(p.id);
      bySample.set(p.sampleId, held);
    }
    return [...bySample.values()].filter((s) => s.ids.length > 1).slice(0, 8);
  });
  const signed = (value: number) => `${value > 0 ? '+' : '−'}${Math.abs(value).toFixed(1)}`;
</script>

<KnowNav />
<h1 class="mt-3 mb-1">{say.title}</h1>
<p class="faded mb-4">{say.lead}</p>
<div class="no-print flex flex-wrap gap-y-4 gap-x-8 items-start mb-6">
  <form onsubmit={(e) => (e.preventDefault(), void add())} novalidate>
    <Field label={say.add} hint={say.addHint} {error}>
      {#snippet children(entry)}
        <input {...entry} class="input" list="compare-codes" bind:value={code} onchange={add} />
      {/snippet}
    </Field>
    <datalist id="compare-codes">
      {#each matching as p (p.id)}<option value={p.code}>{p.sampleName}</option>{/each}
    </datalist>
  </form>
  <Choice
    label={say.basisLabel}
    bind:value={basis}
    options={[
      { value: 'mass', label: say.basis.estimate },
      { value: 'height', label: say.basis.height }
    ]}
  />
</div>

{#if columns.length === 0}
  <Empty lead={say.empty}>
    {#snippet outline()}
      <path d="M20 6V112H60V6M90 6V112H130V6M20 62H60M90 44H130M20 30H60M90 24H130M60 62L90 44M60 30L90 24" />
      <path d="M160 6V112H200V6M160 78H200M160 40H200M130 44L160 78M130 24L160 40" />
    {/snippet}
    {#if all.length < 2}
      <a class="btn btn-primary" href="/set">{t.bench.setJar}</a>
      <a class="btn btn-secondary" href="/stands">{t.stands.link}</a>
    {:else}
      <span class="faded">{say.firstStep}</span>
    {/if}
  </Empty>
  {#if starts.length > 0}
    <ul class="plain-list grid gap-2 mt-3">
      {#each starts as s (s.ids[0])}
        <li>
          <a
            class="link inline-flex min-h-[40px] items-center"
            href="/know/compare?tests={s.ids.slice(0, data.most).join(',')}"
            >{say.suggest}
            {s.name} ({s.ids.length})</a
          >
        </li>
      {/each}
    </ul>
  {/if}
{:else}
  <ol class="plain-list columns flex overflow-x-auto pb-4">
    {#each columns as c, i (c.id)}
      <li>
        <p class="code">
          <a class="link ink inline-flex items-center min-h-touch min-w-touch" href="/tests/{c.id}"
            >{c.code}</a
          >
          <DropButton label={say.drop(c.code)} onclick={() => show(ids.filter((id) => id !== c.id))} />
        </p>
        <div class="flex items-end gap-2">
          <SedimentColumn
            fractions={c.fractions}
            {width}
            height={290}
            label={`${c.code}: ${PARTS.map((p) => `${Math.round(c.fractions[p])} % ${t.layer[p]}`).join(', ')}`}
          />
          {#if c.lab}
            <SedimentColumn
              fractions={c.lab.fractions}
              width={30}
              height={290}
              plain
              label={`${c.lab.name}: ${PARTS.map((p) => `${Math.round(c.lab!.fractions[p])} % ${t.layer[p]}`).join(', ')}`}
            />
          {/if}
        </div>
        <div class="board" aria-hidden="true"></div>
        <p class="class font-head text-lg font-[650] leading-[1.2] pt-2">
          {classChance(c.className, c.probability)}
        </p>
        <p class="small">{c.sampleName}</p>
        <p class="small faded">{c.methodName}, {say.basis[c.basis]}<br />{format.day(c.at)}</p>
        {#if c.lab}<p class="small">{c.lab.name}: {say.points(c.lab.points.toFixed(1))}</p>{/if}
        {#if c.difference && first}
          <dl class="grid pt-2">
            {#each PARTS as part (part)}
              <div class="flex justify-between border-b border-hair">
                <dt>{t.layer[part]}</dt>
                <dd>{signed(c.difference.points[part])}</dd>
              </div>
            {/each}
          </dl>
          <p class="font-[650]">
            {c.difference.surest.sure > 0.6
              ? say.sure(
                  chanceText(c.difference.surest.sure),
                  c.difference.surest.secondHasMore ? c.code : first.code,
                  t.layer[c.difference.surest.part]
                )
              : say.noTelling(t.layer[c.difference.surest.part])}
          </p>
          <p class="small lies {c.difference.lies}">{say.lies[c.difference.lies]}</p>
        {:else if columns.length > 1}
          <p class="small faded">{say.against}</p>
        {/if}
        {#if i > 0}
          <button
            type="button"
            class="link small no-print text-left min-h-touch"
            onclick={() => show([c.id, ...ids.filter((id) => id !== c.id)])}>{say.first(c.code)}</button
          >
        {/if}
      </li>
    {/each}
  </ol>
{/if}

<style>
  li {
    flex: 1 0 8.4rem;
    max-width: 16rem;
    display: flex;
    flex-direction: column;
    gap: var(--spacing-1);
  }
  .columns li > :not(.board) {
    margin: 0 var(--spacing-5) 0 0;
  }
  .code {
    font: 700 var(--text-xl)/1 var(--face-head);
    display: flex;
    align-items: center;
    min-height: 44px;
  }
  .board {
    height: 16px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
    margin-top: calc(-1 * var(--spacing-1));
  }
  dd {
    margin: 0;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .lies {
    border-left: var(--line-heavy) solid var(--tape-edge);
    padding-left: var(--spacing-3);
  }
  .lies.soil {
    border-left-color: var(--pen);
  }
</style>
