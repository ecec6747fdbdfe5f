<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration } from '$lib/core';
  import { formatFor } from '$lib/ui/format';
  import { byUrgency, pictureOf, viewShelf } from '$lib/ui/jar/view';
  import { stepTime, stepTitle } from '$lib/ui/jar/words';
  import { clock } from '$lib/ui/state/clock.svelte';
  import { outbox } from '$lib/ui/state/outbox.svelte';
  import { withPending } from '$lib/ui/state/pending';
  import { t } from '$lib/ui/strings';
  import VesselDrawing from '$lib/ui/vessel/VesselDrawing.svelte';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const rank = { finish: 0, read: 1, mark: 2, 'set-down': 3 };
  const views = $derived(
    byUrgency(viewShelf(withPending(data.jars, outbox.waiting), clock.now))
      .filter((v) => v.run)
      .sort((a, b) => rank[a.step.kind] - rank[b.step.kind])
  );
</script>

<h1>{t.read.chooser}</h1>
{#if views.length === 0}
  <p class="faded">{t.read.chooserEmpty}</p>
  <a class="may" href="/set">{t.bench.setJar}</a>
{:else}
  <ul class="plain-list">
    {#each views as view (view.jar.id)}
      {@const picture = pictureOf(view, clock.now)}
      <li>
        <a href="/read/{view.jar.id}">
          <VesselDrawing
            vessel={view.jar.vessel}
            scale={0.5}
            code=""
            waterMm={view.jar.waterMm}
            soilMm={view.jar.soilMm}
            layers={picture?.layers}
            murk={picture?.murk}
            tapeRoom={0}
          />
          <span class="code">{view.jar.code}</span>
          <span>{view.jar.sample.name}</span>
          <span class="faded">{t.jar.elapsed(formatDuration((clock.now - view.run!.setDownAt) / 1000))}</span>
          <span class="step">{stepTitle(view.step)} · {stepTime(view.step, format, clock.now)}</span>
        </a>
      </li>
    {/each}
  </ul>
{/if}

<style>
  h1 {
    margin: 2rem 0 1rem;
  }
  li {
    border-bottom: 1px solid var(--hair);
  }
  a:not(.may) {
    display: grid;
    grid-template-columns: 72px 4.5rem 1fr 10rem 15rem;
    gap: 0 1rem;
    align-items: center;
    min-height: 100px;
    color: inherit;
    text-decoration: none;
  }
  a:hover {
    background: var(--sheet);
  }
  .code {
    font: 700 1.5rem var(--face-head);
  }
  .step {
    font-weight: 600;
  }
  @media (max-width: 760px) {
    a:not(.may) {
      grid-template-columns: 64px 1fr;
      grid-auto-rows: auto;
      padding: 0.6rem 0;
    }
    a > :global(svg) {
      grid-row: 1 / span 4;
    }
  }
</style>
