<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { formatDuration, instrumentAt, lastOf } from '$lib/core';
  import type { Prep } from '$lib/contract/records/jar';
  import { formatFor } from '$lib/words/format';
  import { problemText, setDown } from '$lib/browser/actions';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox, send } from '$lib/browser/outbox.svelte';
  import SoilWeight from '$lib/ui/set/SoilWeight.svelte';
  import UsedOnJar from '$lib/ui/set/UsedOnJar.svelte';
  import PrepareTicks from '$lib/ui/set/PrepareTicks.svelte';
  import Stopwatch from '$lib/ui/set/Stopwatch.svelte';
  import { prepareItems, tapeIn } from '$lib/ui/set/amounts';
  import { withWaiting } from '$lib/contract/waiting';
  import { sayProblem } from '$lib/browser/toasts';
  import FirstTime from '$lib/ui/station/FirstTime.svelte';
  import { t } from '$lib/words';
  import { drawnSizeMm } from '$lib/ui/vessel/outline';
  import VesselDrawing from '$lib/ui/vessel/VesselDrawing.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = $derived(withWaiting('jar', [data.test], outbox.waiting)[0]);
  const method = $derived(jar.method);
  const standing = $derived(jar.run?.endedAt === null ? jar.run : undefined);

  /** A jar that stands was made ready by the list of the run it stands in. */
  const before = $derived(data.test.runs.filter((run) => run.id !== standing?.id));
  const items = $derived(prepareItems(jar, before, format));
  /** What was done here and is not in the record yet: a second press goes on from the first, however soon it comes. */
  let mine = $state.raw<{ testId: string; prep: Partial<Prep> }>();
  const prep = $derived<Prep>({ ...jar.prep, ...(mine?.testId === jar.id ? mine.prep : {}) });

  async function keep(part: Partial<Prep>) {
    const sent = (mine = { testId: jar.id, prep: { ...prep, ...part } });
    try {
      await send('jar.prep', { testId: jar.id, ...prep });
    } catch (problem) {
      sayProblem(problemText(problem));
    }
    // The last of several has them all.
    if (mine === sent) mine = undefined;
  }
  let used = $state<UsedOnJar>();
  let weight = $state<SoilWeight>();
  async function stand() {
    if (!(await setDown(jar))) return;
    // What was typed beside it is kept with it, and what cannot be is not left behind.
    const kept = await Promise.all([used?.keepTyped(), weight?.keepTyped()]);
    if (kept.includes(false)) return;
    // The first reading of a cylinder is due within the minute.
    await goto(jar.cylinder ? `/read/${jar.id}/cylinder` : '/');
  }
</script>

<div
  class="grid grid-cols-[auto_minmax(0,1fr)_250px] gap-y-0 gap-x-8 pt-7 items-start max-md:grid-cols-1 max-md:pt-5 max-md:gap-6"
>
  <div class="max-md:hidden">
    <VesselDrawing
      vessel={jar.vessel}
      scale={Math.min(2.2, 420 / drawnSizeMm(jar.vessel).heightMm)}
      code={jar.code}
      soilMm={jar.soilMm}
      waterMm={jar.waterMm}
      lid={prep.ticks.includes('water')}
      tapes={[
        {
          key: 'soil',
          label: tapeIn(jar.vessel, jar.soilMm, format),
          heightMm: jar.soilMm,
          state: 'on'
        },
        {
          key: 'water',
          label: tapeIn(jar.vessel, jar.waterMm, format),
          heightMm: jar.waterMm,
          state: 'on'
        }
      ]}
      tapeRoom={64}
    />
  </div>

  <div class="work">
    <h1>{t.prepare.title(jar.code)}</h1>
    <p class="faded">{jar.sample.name} · {method.name} · {jar.vessel.name} · {format.temp(jar.tempC)}</p>
    <FirstTime page="prepare" />
    <PrepareTicks {items} done={prep.ticks} onticks={(ticks) => keep({ ticks })}>
      {#snippet under(key)}
        {#if key === 'soil'}<div class="ml-8"><SoilWeight bind:this={weight} {jar} /></div>{/if}
      {/snippet}
    </PrepareTicks>
    {#if !jar.cylinder}<UsedOnJar bind:this={used} {jar} />{/if}
  </div>

  <div class="last grid gap-7">
    {#if method.soakS !== undefined && before.length === 0}
      <Stopwatch
        title={t.prepare.soak}
        startedAt={prep.soakStartedAt ?? null}
        fromS={method.soakS}
        start={t.prepare.soakStart}
        target={t.prepare.soakOf}
        enough={t.prepare.soakDone}
        onchange={(soakStartedAt) => keep({ soakStartedAt })}
      />
    {/if}
    <Stopwatch
      title={t.prepare.shake}
      startedAt={prep.shakeStartedAt}
      fromS={method.agitate.fromS}
      start={t.prepare.shakeStart}
      target={t.prepare.shakeOf}
      enough={t.prepare.shakeEnough}
      onchange={(shakeStartedAt) => keep({ shakeStartedAt })}
    />
    <section class="stand">
      {#if standing}
        <p>{t.jar.setDownAt(format.when(standing.setDownAt, clock.now))}.</p>
        <a class="btn btn-secondary" href="/tests/{jar.id}">{jar.code}</a>
      {:else}
        <p>{t.prepare.setDownHint}</p>
        <button type="button" class="btn btn-primary big" onclick={stand}>{t.prepare.setDown}</button>
        <p class="faded small max-md:hidden">
          {method.readings
            ? t.prepare.afterReadings(
                method.kind === 'pipette' ? 'pipette' : 'hydrometer',
                formatDuration(instrumentAt(method.readings[0], jar.tempC)),
                formatDuration(instrumentAt(lastOf(method.readings), jar.tempC))
              )
            : method.marks.length > 0
              ? t.prepare.afterwards(formatDuration(method.marks[0].atS))
              : t.prepare.afterBands(formatDuration(method.end.fromS))}
        </p>
        <a class="link small" href="/set/{jar.id}/paper">{t.paper.link}</a>
      {/if}
    </section>
  </div>
</div>

<style>
  .btn-primary.big {
    width: 100%;
    min-height: 84px;
    font: 700 var(--text-3xl) var(--face-head);
    margin: var(--spacing-3) 0;
  }
  @media (max-width: 900px) {
    /* The last act stays under the thumb from the first tick on. */
    .last {
      display: contents;
    }
    .btn-primary.big {
      margin: var(--spacing-2) 0 0;
    }
    .stand {
      position: sticky;
      bottom: var(--foot);
      background: var(--paper);
      padding: var(--spacing-3) 0 var(--spacing-4);
      border-top: var(--line) solid var(--hair);
      /* Nothing shows between it and the stations. */
      box-shadow: 0 12px 0 var(--paper);
      z-index: 5;
    }
  }
</style>
