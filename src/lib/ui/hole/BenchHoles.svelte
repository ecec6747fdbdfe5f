<!-- @component Holes that are under way, cut open in the ground under the bench, each with what it waits for. -->
<script lang="ts">
  import { waterNow, type HoleView } from '$lib/workbench/holes';
  import { stepTime } from '$lib/words/steps';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import HoleDrawing from './HoleDrawing.svelte';
  import HolePress from './HolePress.svelte';

  type Props = { views: readonly HoleView[]; now: number; format: Format };
  let { views, now, format }: Props = $props();
</script>

{#if views.length > 0}
  <section class="mt-6" aria-label={t.hole.inGround}>
    <ul class="plain-list flex flex-wrap gap-x-8 gap-y-5">
      {#each views as view (view.hole.id)}
        {@const { hole, step } = view}
        <li class="grid grid-cols-[132px_auto] gap-4 items-center">
          <a href="/holes/{hole.id}" aria-label={`${hole.code}, ${hole.areaName}`}>
            <HoleDrawing
              code={hole.code}
              depthMm={hole.depth.mm}
              widthMm={hole.width.mm}
              waterMm={waterNow(view, now)}
              {format}
              small
            />
          </a>
          <div class="grid gap-1">
            <a class="font-head text-lg font-[650]" href="/holes/{hole.id}">{hole.code}</a>
            <span class="faded small">{hole.areaName}</span>
            {#if step}
              <span class={step.state === 'due' || step.state === 'late' ? 'font-bold text-pen' : ''}>
                {t.hole.short[step.kind]}{step.state === 'ready' ? '' : ` · ${stepTime(step, format, now)}`}
              </span>
              <HolePress {view} {format} short />
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
