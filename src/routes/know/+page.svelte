<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    classifyTexture,
    fractionsFromGiven,
    fractionsUnder,
    RangeProblem,
    roundShares,
    textureNeighbours,
    textureSystems,
    type Fractions,
    type SystemId
  } from '$lib/core';
  import { toJarReading } from '$lib/contract/reading';
  import { readNumber } from '$lib/ui/cylinder/form';
  import SavePicture from '$lib/ui/export/SavePicture.svelte';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/ui/format';
  import { chanceText } from '$lib/ui/jar/words';
  import AllSystems from '$lib/ui/know/AllSystems.svelte';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import KnowTriangle from '$lib/ui/know/KnowTriangle.svelte';
  import {
    changes,
    choicesOf,
    filterPoints,
    replicates,
    shownFractions,
    type KnowFilter
  } from '$lib/ui/know/points';
  import { TintWork } from '$lib/ui/know/work.svelte';
  import { clock } from '$lib/ui/state/clock.svelte';
  import { t } from '$lib/ui/strings';

  let { data } = $props();
  const PARTS = ['sand', 'silt', 'clay'] as const;
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  let look = $state({ system: 'usda' as SystemId, byMass: false, join: false, changes: false });
  let filter = $state<KnowFilter>({ siteId: '', areaId: '', year: '', methodKey: '' });
  let typed = $state<Record<keyof Fractions, string>>({ sand: '', silt: '', clay: '' });
  keepsDraft<{ look: typeof look; filter: KnowFilter; typed: typeof typed }>(
    'know',
    (kept) => {
      look = { ...look, ...kept.look };
      filter = { ...filter, ...kept.filter };
      typed = { ...typed, ...kept.typed };
    },
    () => ({ look: $state.snapshot(look), filter: $state.snapshot(filter), typed: $state.snapshot(typed) })
  );
  const { system } = $derived(look);

  const points = $derived(filterPoints(data.points, filter));
  const choices = $derived(choicesOf(data.points));
  const of = $derived((p: (typeof points)[number]) => shownFractions(p, look.byMass, system));
  const dots = $derived(points.map((p) => ({ id: p.id, code: p.code, f: of(p) })));
  const stars = $derived(look.join ? replicates(points, of) : []);
  const arrows = $derived(look.changes ? changes(points, of) : []);

  /** The test in hand, as it stands, by the limits of the system. */
  const chosen = $derived(data.points.find((p) => p.id === data.chosen?.id));
  /** Two readings make no curve that could be read between: that is interpolation, and is called so. */
  const curve = $derived.by(() => {
    const result = data.chosen?.cylinder?.result;
    return result && (result.scheme !== 'two-point' || result.sandFrom === 'sieve')
      ? result.curve
      : undefined;
  });
  const stands = $derived(
    chosen && fractionsUnder(system, (look.byMass && chosen.mass) || chosen.fractions, 50, curve).fractions
  );
  /** Where it has been dragged or typed to; by the limits of the system it was dragged under. */
  let moved = $state.raw<{ f: Fractions; system: SystemId }>();
  const whatIf = $derived(
    moved && fractionsUnder(system, moved.f, textureSystems[moved.system].limitsUm[1]).fractions
  );
  const point = $derived(whatIf ?? stands);
  /** The soil in hand as it was read or typed, and the limit it stands on: other limits are reached from there. */
  const base = $derived(
    moved
      ? { f: moved.f, um: textureSystems[moved.system].limitsUm[1] }
      : chosen && { f: (look.byMass && chosen.mass) || chosen.fractions, um: 50 }
  );
  let hovered = $state.raw<{ f: Fractions; code?: string }>();
  const shown = $derived(hovered?.f ?? point);

  const tint = new TintWork();
  $effect(() => {
    const { jar, cylinder, vessel, waterMm } = data.chosen ?? {};
    const question = jar
      ? { system, jar: toJarReading(jar.entry, { vessel: vessel!, waterMm: waterMm! }) }
      : cylinder
        ? { system, cylinder: cylinder.input }
        : undefined;
    void tint.ask(question && ($state.snapshot(question) as typeof question));
  });
  /** The tint is that of the test as it stands: what is dragged has no reading behind it. */
  const tinted = $derived(
    tint.answer?.system === system && !whatIf && !(look.byMass && data.chosen?.jar) ? tint.answer : undefined
  );

  const own = $derived(point && classifyTexture(system, point));
  const here = $derived(shown && classifyTexture(system, shown));
  const shares = $derived(shown ? roundShares([shown.sand, shown.silt, shown.clay]) : undefined);
  const neighbours = $derived(point ? textureNeighbours(system, point).slice(0, 3) : []);
  const said = $derived.by(() => {
    if (!whatIf || !stands) return '';
    const parts = PARTS.map((part) => ({ part, d: whatIf[part] - stands[part] })).filter(
      (p) => Math.abs(p.d) >= 0.05
    );
    return parts
      .map(({ part, d }) =>
        d > 0 ? t.know.more(d.toFixed(1), t.layer[part]) : t.know.less((-d).toFixed(1), t.layer[part])
      )
      .join(', ');
  });

  let errors = $state<Partial<Record<keyof Fractions | 'code', string>>>({});
  /** The third is the rest: shown greyed where two are typed. */
  const rest = $derived.by(() => {
    const given = PARTS.filter((part) => typed[part].trim() !== '');
    if (given.length !== 2) return {} as Partial<Record<keyof Fractions, string>>;
    const sum = given.reduce((total, part) => total + readNumber(typed[part]), 0);
    const left = PARTS.find((part) => !given.includes(part))!;
    return Number.isNaN(sum) || sum > 100 ? {} : { [left]: `${(100 - sum).toFixed(1).replace(/\.0$/, '')}` };
  });
  function take() {
    errors = {};
    const given: Partial<Fractions> = {};
    for (const part of PARTS) {
      if (typed[part].trim() === '') continue;
      const value = readNumber(typed[part]);
      if (Number.isNaN(value)) errors[part] = t.know.number(t.layer[part]);
      else given[part] = value;
    }
    if (Object.keys(errors).length > 0 || Object.keys(given).length < 2) return;
    try {
      moved = { f: fractionsFromGiven(given), system };
    } catch (problem) {
      if (!(problem instanceof RangeProblem)) throw problem;
      errors[problem.field as keyof Fractions] = problem.message;
    }
  }
  function move(f: Fractions) {
    moved = { f, system };
    typed = { sand: '', silt: '', clay: '' };
    errors = {};
  }
  function putBack() {
    moved = undefined;
    typed = { sand: '', silt: '', clay: '' };
    errors = {};
  }
  async function pick(id: string | undefined) {
    putBack();
    await goto(id ? `/know?test=${id}` : '/know', { noScroll: true, keepFocus: true, replaceState: true });
  }
  /** The code in the field: that of the test in hand, until another is typed. */
  let code = $derived(data.chosen?.code ?? '');
  const matching = $derived(
    data.points.filter((p) => p.code.toLowerCase().startsWith(code.trim().toLowerCase())).slice(-40)
  );
  async function find() {
    errors = {};
    if (code.trim() === '') return pick(undefined);
    const found = data.points.findLast((p) => p.code.toLowerCase() === code.trim().toLowerCase());
    if (found) await pick(found.id);
    else errors.code = t.know.noSuch(code.trim());
  }

  let triangle = $state<KnowTriangle>();
  const caption = () => ({
    legend: [
      point && own
        ? `${data.chosen?.code ?? t.know.typed}: ${t.know.at(...(PARTS.map((p) => point[p].toFixed(1)) as [string, string, string]))}, ${own.name}`
        : t.know.shown(points.length, data.points.length),
      t.know.legend.dots
    ],
    source: t.saving.source(
      `${textureSystems[system].name} (${textureSystems[system].source})`,
      format.day(clock.now)
    )
  });
</script>

<KnowNav />
<div class="know">
  <div class="paper">
    <Choice
      label={t.know.system}
      bind:value={look.system}
      options={(Object.keys(textureSystems) as SystemId[]).map((id) => ({
        value: id,
        label: t.know.systemShort[id]
      }))}
    />
    <KnowTriangle
      bind:this={triangle}
      {system}
      {point}
      from={whatIf && stands}
      classId={own?.id}
      probabilities={tinted?.probabilities}
      region={tinted?.region}
      {dots}
      {stars}
      {arrows}
      label={t.know.triangleLabel}
      value={shares && here
        ? `${t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}, ${here.name}`
        : t.know.none}
      onhover={(f, dot) => (hovered = f && { f, code: dot?.code })}
      onmove={move}
      onpick={pick}
      onback={putBack}
    />
    <div class="tools no-print">
      <button type="button" class="may" onclick={() => triangle?.zoom(1.6)}>{t.know.zoomIn}</button>
      <button type="button" class="may" onclick={() => triangle?.zoom(1 / 1.6)}>{t.know.zoomOut}</button>
      <button type="button" class="may" onclick={() => triangle?.zoomAll()}>{t.know.zoomAll}</button>
      <SavePicture svg={() => triangle!.picture()} {caption} name="tivrel-triangle" />
    </div>
  </div>

  <div class="say">
    <h1 class="sr-only">{t.know.title}</h1>
    <div class="head" aria-live="polite">
      {#if shown && here && shares}
        <p class="class">
          {t.know.headline(here.name)}{#if tinted && !hovered && own}, {chanceText(
              tinted.probabilities[own.id] ?? 0
            )}{/if}
        </p>
        <p class="parts">{t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}</p>
        <p class="faded">
          {#if hovered}{hovered.code ?? ' '}
          {:else if whatIf && data.chosen}{t.know.whatIfOf(data.chosen.code)}: {said}
          {:else if whatIf}{t.know.typed}
          {:else if data.chosen}<a class="link ink" href="/tests/{data.chosen.id}"
              >{t.know.toTest(data.chosen.code)}</a
            >, {data.chosen.sampleName}{/if}
        </p>
      {:else}
        <p class="class faded">{data.points.length === 0 ? t.know.empty : t.know.lead}</p>
      {/if}
    </div>

    <form class="typed no-print" onsubmit={(e) => (e.preventDefault(), take())} novalidate>
      {#each PARTS as part (part)}
        <Field label={`${t.Layer[part]}, %`} error={errors[part]}>
          {#snippet children(entry)}
            <input
              {...entry}
              class="entry"
              inputmode="decimal"
              bind:value={typed[part]}
              placeholder={rest[part] ?? (point ? point[part].toFixed(1) : '')}
              oninput={take}
            />
          {/snippet}
        </Field>
      {/each}
      {#if whatIf}<button type="button" class="may" onclick={putBack}>{t.know.back}</button>{/if}
    </form>

    {#if neighbours.length > 0}
      <div>
        <h2>{t.know.nearby}</h2>
        <ul class="plain-list near">
          {#each neighbours as n (n.id)}
            <li>
              {t.result.swap(
                n.points < 1 ? t.result.lessThanPoint : t.result.points(Math.round(n.points * 10) / 10),
                t.layer[n.take],
                t.layer[n.give],
                n.name
              )}
            </li>
          {/each}
        </ul>
      </div>
    {/if}

    {#if point}
      {#if base}
        <AllSystems point={base.f} fromUm={base.um} curve={whatIf ? undefined : curve} {system} />
      {/if}
      <p>
        <a
          class="link"
          href="/know/how?sand={point.sand.toFixed(1)}&clay={point.clay.toFixed(1)}&system={system}"
          >{t.know.toHow}</a
        >
      </p>
    {/if}

    <div class="filters no-print">
      <Field label={t.know.find} hint={t.know.findHint} error={errors.code}>
        {#snippet children(entry)}
          <input {...entry} class="entry" list="know-codes" bind:value={code} onchange={find} />
        {/snippet}
      </Field>
      <datalist id="know-codes">
        {#each matching as p (p.id)}<option value={p.code}>{p.sampleName}</option>{/each}
      </datalist>
      {#each [{ key: 'siteId' as const, label: t.know.filter.site, options: choices.sites }, { key: 'areaId' as const, label: t.know.filter.area, options: choices.areas }, { key: 'year' as const, label: t.know.filter.season, options: choices.years }, { key: 'methodKey' as const, label: t.know.filter.method, options: choices.methods }] as one (one.key)}
        {#if one.options.length > 1}
          <Field label={one.label}>
            {#snippet children(entry)}
              <select {...entry} class="entry" bind:value={filter[one.key]}>
                <option value="">{t.know.filter.all}</option>
                {#each one.options as o (o.value)}<option value={o.value}>{o.label}</option>{/each}
              </select>
            {/snippet}
          </Field>
        {/if}
      {/each}
      <p class="faded count">{t.know.shown(points.length, data.points.length)}</p>
      <label class="tick"><input type="checkbox" bind:checked={look.byMass} /> {t.know.byMass}</label>
      <label class="tick"><input type="checkbox" bind:checked={look.join} /> {t.know.join}</label>
      <label class="tick"><input type="checkbox" bind:checked={look.changes} /> {t.know.changes}</label>
    </div>
  </div>
</div>

<style>
  .know {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
    gap: 1rem 3.4rem;
    align-items: start;
    padding-top: 0.6rem;
  }
  .paper {
    position: sticky;
    top: 100px;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 0.5rem;
    max-width: min(100%, calc((100dvh - 300px) * 1.16));
  }
  .tools {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem 1.4rem;
  }
  .say {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 1.1rem;
  }
  .head {
    min-height: 6.6rem;
  }
  .head p {
    margin: 0;
  }
  .class {
    font: 680 1.9rem/1.15 var(--face-head);
  }
  .class.faded {
    font-size: 1.2rem;
    font-weight: 550;
  }
  .parts {
    font-size: 1.15rem;
    font-weight: 600;
  }
  .typed {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-start;
    gap: 0.5rem 1.2rem;
  }
  .typed .entry {
    width: 6.2rem;
  }
  .typed button {
    margin-top: 1.4rem;
  }
  h2 {
    font-size: 1.05rem;
    margin-bottom: 0.2rem;
  }
  .near {
    display: grid;
    gap: 0.15rem;
  }
  .filters {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.6rem 1.4rem;
    align-items: start;
    border-top: 1px solid var(--hair);
    padding-top: 0.9rem;
  }
  .count {
    align-self: end;
  }
  .tick {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    min-height: 44px;
  }
  .tick input {
    width: 22px;
    height: 22px;
    flex: none;
    accent-color: var(--ink);
  }
  @media (max-width: 900px) {
    .know {
      grid-template-columns: minmax(0, 1fr);
    }
    .paper {
      position: static;
      max-width: none;
    }
  }
</style>
