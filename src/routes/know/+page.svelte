<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import { classifyTexture, roundShares, textureSystems, type SystemId } from '$lib/core';
  import { unpackPoints } from '$lib/contract/points';
  import { pageAt } from '$lib/browser/page-at';
  import { knowAddress } from '$lib/workbench/points';
  import Choice from '$lib/ui/fields/Choice.svelte';
  import { formatFor } from '$lib/words/format';
  import { className, verdictUnder } from '$lib/words/headline';
  import AllSystems from '$lib/ui/know/AllSystems.svelte';
  import KnowFilters from '$lib/ui/know/KnowFilters.svelte';
  import { knowCaption } from '$lib/ui/know/caption';
  import KnowHeading from '$lib/ui/know/KnowHeading.svelte';
  import Nearby from '$lib/ui/know/Nearby.svelte';
  import KnowNav from '$lib/ui/know/KnowNav.svelte';
  import { looking } from '$lib/ui/know/looking.svelte';
  import TrianglePaper from '$lib/ui/know/TrianglePaper.svelte';
  import TypedPoint from '$lib/ui/know/TypedPoint.svelte';
  import { clock } from '$lib/browser/clock.svelte';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const all = $derived([...(data.own ? [data.own] : []), ...unpackPoints(data.packed)]);
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  const soil = looking(
    () => all,
    () => data.chosen,
    untrack(() => data.filter)
  );
  const { point, whatIf, stands, shown, tinted, points, arrows } = $derived(soil.view);
  const wanted = $derived(knowAddress(data.chosen?.id, soil.filter));
  const answered = $derived(wanted === knowAddress(data.chosen?.id, data.filter));
  /** What is here passes at once; the server then answers for all there are. */
  const found = $derived(answered ? data.found : points.length);
  $effect(() => {
    if (!answered) void pageAt(wanted);
  });
  const { system } = $derived(soil.look);
  const own = $derived(point && classifyTexture(system, point));
  /** What the test in hand comes to, in the words of the system. */
  const verdict = $derived(tinted && verdictUnder(system, tinted.probabilities, data.chosen?.answer?.fit));
  const here = $derived(shown && classifyTexture(system, shown));
  const shares = $derived(shown ? roundShares([shown.sand, shown.silt, shown.clay]) : undefined);

  const caption = () =>
    knowCaption({
      system,
      point,
      name: data.chosen?.code ?? t.know.typed,
      counts: [found, data.all],
      tinted: tinted !== undefined,
      arrows: arrows.length > 0,
      day: format.day(clock.now)
    });
</script>

<KnowNav />
<div
  class="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-y-5 gap-x-9 items-start pt-3 max-md:grid-cols-1"
>
  <div class="paper">
    <Choice
      label={t.know.system}
      bind:value={soil.look.system}
      options={(Object.keys(textureSystems) as SystemId[]).map((id) => ({
        value: id,
        label: t.know.systemShort[id]
      }))}
    />
    <TrianglePaper
      {system}
      {point}
      from={whatIf && stands}
      classId={own?.id}
      probabilities={tinted?.probabilities}
      region={tinted?.region}
      dots={soil.view.dots}
      cells={answered ? data.cells : []}
      stars={soil.view.stars}
      {arrows}
      label={t.know.triangleLabel}
      value={shares && here
        ? `${t.know.at(String(shares[0]), String(shares[1]), String(shares[2]))}, ${className(system, here.name)}`
        : t.know.none}
      onhover={(f, dot) => soil.hover(f, dot?.code)}
      onmove={soil.move}
      onpick={soil.pick}
      onback={soil.putBack}
      {caption}
    />
  </div>

  <div class="grid grid-cols-1 gap-5">
    <h1 class="sr-only">{t.know.title}</h1>
    <KnowHeading
      {system}
      {shown}
      hovered={soil.view.hovered}
      chosen={data.chosen}
      {stands}
      {whatIf}
      {verdict}
      lead={data.all === 0 ? t.know.empty : t.know.lead}
    />

    <FirstTime page="know" />
    <TypedPoint
      bind:typed={soil.typed}
      {point}
      moved={whatIf !== undefined}
      onpoint={soil.type}
      onback={soil.putBack}
    />

    {#if point}<Nearby {system} {point} />{/if}

    {#if point}
      {#if soil.view.base}
        <AllSystems
          point={soil.view.base.f}
          fromUm={soil.view.base.um}
          curve={whatIf ? undefined : soil.view.curve}
          {system}
        />
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
      choices={data.choices}
      counts={[found, data.all]}
      crowd={found > points.length}
      bind:filter={soil.filter}
      bind:look={soil.look}
      own={data.chosen?.code ?? ''}
      onpick={soil.pick}
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
