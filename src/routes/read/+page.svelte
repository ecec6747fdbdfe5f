<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration } from '$lib/core';
  import { formatFor } from '$lib/words/format';
  import { byUrgency, pictureOf, viewShelf, type JarView } from '$lib/workbench/jars';
  import { stepTime, stepTitle } from '$lib/words/steps';
  import { clock } from '$lib/browser/clock.svelte';
  import { outbox } from '$lib/browser/outbox.svelte';
  import { withWaiting } from '$lib/contract/waiting';
  import { t } from '$lib/words';
  import { drawnSizeMm } from '$lib/ui/vessel/outline';
  import VesselDrawing from '$lib/ui/vessel/VesselDrawing.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  /** What can be read now first, then by how far on it is. */
  const rank = ({ step }: JarView) =>
    (step.state === 'waiting' ? 10 : 0) +
    { finish: 0, read: 1, lower: 1, gauge: 1, mark: 2, 'set-down': 3, shake: 3 }[step.kind];
  const views = $derived(
    byUrgency(viewShelf(withWaiting('jar', data.jars, outbox.waiting), clock.now))
      .flatMap((view) => (view.run ? [{ ...view, run: view.run }] : []))
      .sort((a, b) => rank(a) - rank(b))
  );
</script>

<h1 class="mt-7 mb-3">{t.read.chooser}</h1>
{#if views.length === 0}
  <p class="faded mb-5">{t.read.chooserEmpty}</p>
  <div class="row-of-actions">
    <a class="btn btn-primary" href="/stands">{t.stands.link}</a>
    <a class="btn btn-secondary" href="/set">{t.bench.setJar}</a>
  </div>
{:else}
  <ul class="plain-list shelf">
    {#each views as view (view.jar.id)}
      {@const picture = pictureOf(view, clock.now)}
      <li>
        <a
          href="/read/{view.jar.id}"
          class:early={view.step.kind === 'mark' || view.step.state === 'waiting'}
        >
          <span class="glass flex items-end justify-center pt-5 pb-0 px-3">
            <VesselDrawing
              vessel={view.jar.vessel}
              scale={Math.min(1.3, 260 / drawnSizeMm(view.jar.vessel).heightMm)}
              code={view.jar.code}
              waterMm={view.jar.waterMm}
              soilMm={view.jar.soilMm}
              layers={picture?.layers}
              turbidity={picture?.turbidity}
              tapeRoom={0}
            />
          </span>
          <span class="board" aria-hidden="true"></span>
          <span class="under">
            <strong class="font-head text-lg font-[620] leading-[1.25]"
              >{view.jar.code} · {stepTitle(view.step)}</strong
            >
            <span class="font-head text-xl font-[680] leading-[1.25] tabular-nums"
              >{stepTime(view.step, format, clock.now)}</span
            >
            <span class="faded small">{view.jar.sample.name}</span>
            <span class="faded small"
              >{view.run.stood
                ? t.stands.about[view.run.stood]
                : t.jar.stands(formatDuration((clock.now - view.run.setDownAt) / 1000))}</span
            >
          </span>
        </a>
      </li>
    {/each}
  </ul>
  <p class="mt-5"><a class="btn btn-secondary" href="/stands">{t.stands.link}</a></p>
{/if}

<style>
  .shelf {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(172px, 1fr));
    grid-auto-rows: auto;
  }
  li,
  li > a {
    display: grid;
    grid-row: span 3;
    grid-template-rows: subgrid;
    color: inherit;
    text-decoration: none;
  }
  .board {
    height: 18px;
    background: linear-gradient(var(--shelf) 0 65%, var(--shelf-edge) 65% 100%);
  }
  .under {
    display: flex;
    flex-direction: column;
    align-items: center;
    text-align: center;
    padding: var(--spacing-3) var(--spacing-2) var(--spacing-5);
    line-height: 1.3;
  }
  a:hover strong {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .early .glass {
    opacity: 0.62;
  }
</style>
