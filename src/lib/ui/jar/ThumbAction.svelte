<!-- @component On a phone: the one thing to do now, large, under the thumb. -->
<script lang="ts">
  import { clock } from '$lib/browser/clock.svelte';
  import { press, pressMark } from '$lib/browser/press.svelte';
  import { t } from '$lib/words';
  import type { JarView } from '$lib/workbench/jars';
  import { justBefore, type BenchNow } from '$lib/workbench/steady';

  /** The jar to be dealt with; none leaves room for another. */
  let { view, bench }: { view: JarView | undefined; bench: BenchNow } = $props();
  /** A hand that has just pressed must not find another action under it. */
  const held = $derived(press.heldAt(clock.now));
</script>

<div class="thumb no-print hidden" data-steady>
  {#if held}
    <button type="button" class="btn btn-primary max-sm:w-full max-sm:min-h-[64px] max-sm:text-xl" disabled>
      {t.bench.marked(held.layer ? t.layer[held.layer] : '', held.code)}
    </button>
  {:else if view?.step.kind === 'mark'}
    {@const { layer } = view.step}
    <button
      type="button"
      class="btn btn-primary max-sm:w-full max-sm:min-h-[64px] max-sm:text-xl"
      onclick={() => pressMark(view.jar, layer, { anyJar: true, before: justBefore(bench, view.jar.id) })}
    >
      {t.bench.mark(t.layer[layer], view.jar.code)}
    </button>
  {:else if view}
    <a
      class="btn btn-primary max-sm:w-full max-sm:min-h-[64px] max-sm:text-xl"
      href={view.step.kind === 'set-down' || view.step.kind === 'shake'
        ? `/set/${view.jar.id}`
        : `/read/${view.jar.id}`}
    >
      {t.bench.doTo[view.step.kind](view.jar.code)}
    </a>
  {:else}
    <a class="btn btn-primary max-sm:w-full max-sm:min-h-[64px] max-sm:text-xl" href="/set"
      >{t.bench.another}</a
    >
  {/if}
</div>

<style>
  @media (max-width: 640px) {
    .thumb {
      display: block;
      position: fixed;
      left: 0;
      right: 0;
      bottom: var(--foot);
      padding: var(--spacing-3) var(--spacing-4) var(--spacing-3);
      background: linear-gradient(transparent, var(--paper) 18%);
      z-index: 10;
    }
  }
</style>
