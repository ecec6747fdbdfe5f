<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    classifyTexture,
    fractionsUnder,
    readableCurve,
    roundShares,
    textureNeighbours,
    textureSystems,
    type Fractions,
    type SystemId
  } from '$lib/core';
  import { unpackPoints } from '$lib/contract/points';
  import SavePicture from '$lib/ui/export/SavePicture.svelte';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { keepsDraft } from '$lib/ui/fields/kept.svelte';
  import { formatFor } from '$lib/words/format';
  import { chanceText, className } from '$lib/words/headline';
  import AllSystems from '$lib/ui/know/AllSystems.svelte';
  import KnowFilters from '$lib/ui/know/KnowFilters.svelte';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import KnowTriangle from '$lib/ui/know/KnowTriangle.svelte';
  import { changes, filterPoints, replicates, shownFractions, type KnowFilter } from '$lib/workbench/points';
  import { movedWords, NOTHING_TYPED, readTyped, type TypedFractions } from '$lib/ui/know/typed';
  import TypedPoint from '$lib/ui/know/TypedPoint.svelte';
  import { TintWork } from '$lib/browser/work';
  import { clock } from '$lib/browser/clock.svelte';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const all = $derived(unpackPoints(data.packed));
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  let look = $state({ system: 'usda' as SystemId, byMass: false, join: false, changes: false });
  let filter = $state<KnowFilter>({ siteId: '', areaId: '', year: '', methodKey: '' });
  let typed = $state<TypedFractions>({ ...NOTHING_TYPED });
  /** Where the soil in hand has been dragged or typed to; by the limits of the system it was moved under. */
  let moved = $state.raw<{ f: Fractions; system: SystemId }>();
  keepsDraft<{ look: typeof look; filter: KnowFilter; typed: typeof typed }>(
    'know',
    (kept) => {
      look = { ...look, ...kept.look };
      filter = { ...filter, ...kept.filter };
      typed = { ...typed, ...kept.typed };
      const point = readTyped(typed).point;
      if (point) moved = { f: point, system: look.system };
    },
    () => ({ look: $state.snapshot(look), filter: $state.snapshot(filter), typed: $state.snapshot(typed) })
  );
  const { system } = $derived(look);

  const points = $derived(filterPoints(all, filter));
  const of = $derived((p: (typeof points)[number]) => shownFractions(p, look.byMass, system));
  const dots = $derived(points.map((p) => ({ id: p.id, code: p.code, f: of(p) })));
  const stars = $derived(look.join ? replicates(points, of) : []);
  const arrows = $derived(look.changes ? changes(points, of) : []);

  /** The test in hand, as it stands, by the limits of the system. */
  const chosen = $derived(all.find((p) => p.id === data.chosen?.id));
  const curve = $derived(data.chosen?.cylinder ? readableCurve(data.chosen.cylinder.result) : undefined);
  const stands = $derived(
    chosen && fractionsUnder(system, (look.byMass && chosen.mass) || chosen.fractions, 50, curve).fractions
  );
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
    const { jar, cylinder } = data.chosen ?? {};
    const question = jar ? { system, jar } : cylinder ? { system, cylinder: cylinder.input } : undefined;
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
  function move(f: Fractions) {
    moved = { f, system };
    typed = { ...NOTHING_TYPED };
  }
  function putBack() {
    moved = undefined;
    typed = { ...NOTHING_TYPED };
  }
  async function pick(id: string | undefined) {
    putBack();
    await goto(id ? `/know?test=${id}` : '/know', { noScroll: true, keepFocus: true, replaceState: true });
  }

  let triangle = $state<KnowTriangle>();
  const percentages = (f: Fractions) => t.know.at(f.sand.toFixed(1), f.silt.toFixed(1), f.clay.toFixed(1));
  const caption = () => ({
    legend: [
      point && own
        ? `${data.chosen?.code ?? t.know.typed}: ${percentages(point)}, ${className(system, own.name)}`
        : t.know.shown(points.length, all.length),
      [
        t.know.legend.dots,
        ...(point ? [t.know.legend.point] : []),
        ...(tinted ? [t.know.legend.tint] : []),
        ...(arrows.length > 0 ? [t.know.legend.arrows] : [])
      ].join('. ')
    ],
    source: t.saving.source(
      `${textureSystems[system].name} (${textureSystems[system].source})`,
      format.day(clock.now)
    )
  });
</script>

<KnowNav />
<div
  class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-y-5 gap-x-9 items-start pt-3 max-md:grid-cols-1"
>
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
        ? `${t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}, ${className(system, here.name)}`
        : t.know.none}
      onhover={(f, dot) => (hovered = f && { f, code: dot?.code })}
      onmove={move}
      onpick={pick}
      onback={putBack}
    />
    <div class="no-print flex flex-wrap items-center gap-y-2 gap-x-6">
      <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoom(1.6)}
        >{t.know.zoomIn}</button
      >
      <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoom(1 / 1.6)}
        >{t.know.zoomOut}</button
      >
      <button type="button" class="btn btn-secondary" onclick={() => triangle?.zoomAll()}
        >{t.know.zoomAll}</button
      >
      <SavePicture svg={() => triangle!.picture()} {caption} name="tivrel-triangle" />
    </div>
  </div>

  <div class="grid grid-cols-1 gap-5">
    <h1 class="sr-only">{t.know.title}</h1>
    <div class="min-h-[6.6rem]" aria-live="polite">
      {#if shown && here && shares}
        <p class="class font-head text-3xl font-[680] leading-[1.15]">
          {t.know.headline(className(system, here.name))}{#if tinted && !hovered && own}, {chanceText(
              tinted.probabilities[own.id] ?? 0
            )}{/if}
        </p>
        <p class="text-lg font-semibold">
          {t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}
        </p>
        <p class="faded">
          {#if hovered}{hovered.code ?? ' '}
          {:else if whatIf && data.chosen}{t.know.whatIfOf(data.chosen.code)}: {stands
              ? movedWords(stands, whatIf)
              : ''}
          {:else if whatIf}{t.know.typed}
          {:else if data.chosen}<a class="link ink" href="/tests/{data.chosen.id}"
              >{t.know.toTest(data.chosen.code)}</a
            >, {data.chosen.sampleName}{/if}
        </p>
      {:else}
        <p class="class faded font-head leading-[1.15] text-xl font-[550]">
          {all.length === 0 ? t.know.empty : t.know.lead}
        </p>
      {/if}
    </div>

    <FirstTime of="know" />
    <TypedPoint
      bind:typed
      {point}
      moved={whatIf !== undefined}
      onpoint={(f) => (moved = { f, system })}
      onback={putBack}
    />

    {#if neighbours.length > 0}
      <div>
        <h2 class="text-lg mb-1">{t.know.nearby}</h2>
        <ul class="plain-list grid gap-1">
          {#each neighbours as n (n.id)}
            <li>
              {t.result.swap(
                n.points < 1 ? t.result.lessThanPoint : t.result.points(Math.round(n.points * 10) / 10),
                t.layer[n.take],
                t.layer[n.give],
                className(system, n.name)
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

    <KnowFilters
      points={all}
      shown={points.length}
      bind:filter
      bind:look
      own={data.chosen?.code ?? ''}
      onpick={pick}
    />
  </div>
</div>

<style>
  .paper {
    position: sticky;
    top: 100px;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: var(--spacing-3);
    max-width: min(100%, calc((100dvh - 300px) * 1.16));
  }
  @media (max-width: 900px) {
    .paper {
      position: static;
      max-width: none;
    }
  }
</style>
