<script lang="ts">
  import { page } from '$app/state';
  import { columnFacts, fillPlan, methodCuts, trueTimes, usualVessel } from '$lib/core';
  import MethodAmounts from '$lib/ui/method/MethodAmounts.svelte';
  import MethodCues from '$lib/ui/method/MethodCues.svelte';
  import MethodHead from '$lib/ui/method/MethodHead.svelte';
  import SizeStrip from '$lib/ui/plan/SizeStrip.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const method = $derived(data.method);
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const TEMP_C = 18;
  /** Shown in the vessel it is usually done in, at a usual warmth. */
  const vessel = $derived(usualVessel(method));
  const plan = $derived(fillPlan(method, vessel));
  const jar = $derived(columnFacts({ ...plan, tempC: TEMP_C }));
  const cuts = $derived(methodCuts(method, jar));
  const limits = $derived([50, 2].map((um, i) => ({ um, atS: trueTimes(jar, [50, 2])[i] })));
</script>

<p class="mt-5"><a class="link" href="/plan/methods">{t.plan.back}</a></p>
<MethodHead {method} own={data.own} retired={data.retired} versions={data.versions} latest={data.latest} />

<div
  class="columns grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-y-0 gap-x-9 max-md:grid-cols-1 max-md:gap-6"
>
  <section>
    <h2>{t.plan.steps}</h2>
    <ol class="steps">
      {#each method.steps as step (step.text)}
        <li class="py-2 px-0 border-b border-hair">
          {step.text}{#if step.why}<span class="faded small block">{step.why}</span>{/if}
        </li>
      {/each}
    </ol>
  </section>
  <section>
    <h2>{t.plan.cues}</h2>
    <MethodCues {method} {cuts} tempC={TEMP_C} />
    <h2>{t.plan.amounts}</h2>
    <MethodAmounts {method} {format} />
    <h2>{t.plan.schools}</h2>
    <ul class="schools">
      {#each method.schools as school (school)}<li>{school}</li>{/each}
    </ul>
  </section>
</div>

<section class="mt-7">
  <h2>{t.plan.inJar(vessel.name, format.temp(TEMP_C))}</h2>
  <SizeStrip rows={[{ method, cuts }]} {limits} linked={false} />
</section>

<style>
  .columns h2:not(:first-child) {
    margin-top: var(--spacing-6);
  }
  .steps {
    margin: var(--spacing-2) 0 0;
    padding-left: var(--spacing-6);
    list-style: decimal;
  }
  .steps li::marker {
    font-weight: 700;
  }
  .schools {
    margin: var(--spacing-2) 0 0;
    padding-left: var(--spacing-5);
    list-style: '– ';
  }
</style>
