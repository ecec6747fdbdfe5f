<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { unpackPoints } from '$lib/contract/points';
  import { findTest } from '$lib/browser/find-test';
  import CodePick from '$lib/ui/fields/CodePick.svelte';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { compareColumns } from '$lib/workbench/compare';
  import { someHaveTwoViews, testedTwice } from '$lib/workbench/points';
  import ComparedColumn from '$lib/ui/know/ComparedColumn.svelte';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import Empty from '$lib/ui/station/Empty.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const all = $derived(unpackPoints(data.packed));
  const say = t.know.compare;
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  let basis = $state<'height' | 'mass'>('mass');
  const twoViews = $derived(someHaveTwoViews(all.filter((p) => data.columns.some((c) => c.id === p.id))));
  const columns = $derived(compareColumns(data.columns, basis === 'mass'));
  const first = $derived(columns[0]);
  /** Columns stay wide enough for their figures; twelve then slide. */
  const width = $derived(columns.length > 8 ? 66 : columns.length > 5 ? 84 : 112);

  let code = $state('');
  let error = $state<string>();
  const show = (ids: readonly string[]) =>
    goto(ids.length > 0 ? `/know/compare?tests=${ids.join(',')}` : '/know/compare', {
      noScroll: true,
      keepFocus: true
    });
  const ids = $derived(columns.map((c) => c.id));
  async function add(wanted: string) {
    error = undefined;
    if (wanted.trim() === '') return;
    const found = await findTest(all, wanted);
    if (!found) error = t.know.noSuch(wanted.trim());
    else if (ids.includes(found.id)) error = say.twice(found.code);
    else if (ids.length >= data.most) error = say.most;
    else {
      code = '';
      await show([...ids, found.id]);
    }
  }
  const starts = $derived(testedTwice(all).slice(0, 8));
</script>

<KnowNav />
<h1 class="mt-3 mb-1">{say.title}</h1>
<p class="faded mb-4">{say.lead}</p>
<div class="no-print flex flex-wrap gap-y-4 gap-x-8 items-start mb-6">
  <CodePick
    label={say.add}
    hint={say.addHint}
    {error}
    bind:code
    points={all.filter((p) => !ids.includes(p.id))}
    onchoose={add}
  />
  {#if twoViews}
    <Choice
      label={say.basisLabel}
      bind:value={basis}
      options={[
        { value: 'mass', label: say.basis.estimate },
        { value: 'height', label: say.basis.height }
      ]}
    />
  {/if}
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
  <ol class="plain-list flex overflow-x-auto pb-4">
    {#each columns as c, i (c.id)}
      <ComparedColumn
        column={c}
        {first}
        alone={columns.length === 1}
        {width}
        {format}
        ondrop={() => show(ids.filter((id) => id !== c.id))}
        onfirst={i > 0 ? () => show([c.id, ...ids.filter((id) => id !== c.id)]) : undefined}
      />
    {/each}
  </ol>
{/if}
