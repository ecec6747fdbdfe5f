<!-- @component Things under way beside the shelf, each by its drawing, its code and what it waits for, with what can be done now. -->
<script lang="ts" generics="V extends { step?: HoleStep | TrialStep }">
  import type { Snippet } from 'svelte';
  import type { HoleStep, TrialStep } from '$lib/core';
  import type { Format } from '$lib/words/format';
  import { stepTime } from '$lib/words/steps';

  type Props = {
    label: string;
    views: readonly V[];
    /** What one is called, where it leads, and what stands under its code. */
    of: (view: V) => { id: string; code: string; href: string; name: string; aside: string; does: string };
    drawing: Snippet<[V]>;
    press: Snippet<[V]>;
    /** How wide the drawing is, as columns of a grid. */
    columns: string;
    now: number;
    format: Format;
  };
  let { label, views, of, drawing, press, columns, now, format }: Props = $props();
</script>

{#if views.length > 0}
  <section class="mt-6" aria-label={label}>
    <ul class="plain-list flex flex-wrap gap-x-8 gap-y-5">
      {#each views as view (of(view).id)}
        {@const { code, href, name, aside, does } = of(view)}
        {@const { step } = view}
        <li class="grid {columns} gap-4 items-center max-sm:grid-cols-1">
          <a {href} aria-label={`${code}, ${name}`}>{@render drawing(view)}</a>
          <div class="grid gap-1 max-w-[17rem]">
            <a class="font-head text-lg font-[650]" {href}>{code}</a>
            <span class="faded small">{aside}</span>
            {#if step}
              <span class={step.state === 'due' || step.state === 'late' ? 'font-bold text-pen' : ''}>
                {does}{step.state === 'ready' ? '' : ` · ${stepTime(step, format, now)}`}
              </span>
              {@render press(view)}
            {/if}
          </div>
        </li>
      {/each}
    </ul>
  </section>
{/if}
