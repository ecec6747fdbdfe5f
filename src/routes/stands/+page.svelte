<script lang="ts">
  import { page } from '$app/state';
  import LeftOff from '$lib/ui/fields/LeftOff.svelte';
  import LineTable from '$lib/ui/read/LineTable.svelte';
  import RulerChoice from '$lib/ui/read/RulerChoice.svelte';
  import SumCheck from '$lib/ui/read/SumCheck.svelte';
  import WaterNote from '$lib/ui/read/WaterNote.svelte';
  import Known from '$lib/ui/stands/Known.svelte';
  import WayChoice from '$lib/ui/read/WayChoice.svelte';
  import SharesTable from '$lib/ui/read/SharesTable.svelte';
  import { standingJar } from '$lib/ui/stands/standing.svelte';
  import StandsAnswer from '$lib/ui/stands/StandsAnswer.svelte';
  import { t } from '$lib/words';
  import { formatFor } from '$lib/words/format';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = standingJar(
    () => data.vessels,
    () => page.data.profile
  );
  const { keeping } = jar;
</script>

<h1 class="mt-6 mb-1">{t.stands.title}</h1>
<p class="lead">{t.stands.lead}</p>
<LeftOff at={jar.leftAt} {format} onafresh={() => jar.startAfresh()} />
<div
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)_minmax(0,0.85fr)] gap-y-5 gap-x-8 items-start mt-5 max-lg:grid-cols-1"
>
  <section class="grid gap-4" aria-label={t.stands.what}>
    <WayChoice form={jar.form} />
    {#if jar.view.figures}
      <SharesTable form={jar.form} />
    {:else}
      <div class="flex flex-wrap gap-y-2 gap-x-5">
        <RulerChoice form={jar.form} />
      </div>
      <LineTable form={jar.form} result={jar.view.result} {format} />
      <SumCheck
        form={jar.form}
        result={jar.view.result}
        {format}
        onfixlayers={() => document.querySelector<HTMLInputElement>('.lines input')?.focus()}
      />
    {/if}
  </section>
  <section class="answer grid gap-4" aria-label={t.stands.answer}>
    <StandsAnswer
      result={jar.view.result}
      texture={jar.view.texture}
      region={jar.view.region}
      answer={jar.view.answer}
      expected={jar.view.expected}
      pending={jar.view.pending}
      sigmaMm={jar.form.sigmaMm}
      figures={jar.view.figures}
      against={jar.form.against}
      {format}
    />
    <div class="row-of-actions at-foot">
      {#if keeping.errors['']}<p class="wrong" role="alert">{keeping.errors['']}</p>{/if}
      <form use:keeping.enhance method="POST">
        <button class="btn btn-primary" disabled={keeping.sending}>{t.stands.keep}</button>
      </form>
      <span class="faded small">{t.stands.keepNote}</span>
    </div>
  </section>
  <section class="grid gap-4" aria-label={t.stands.more}>
    <h2>{t.stands.more}</h2>
    <Known bind:known={jar.known} vessels={data.vessels} samples={data.samples} errors={keeping.errors} />
    {#if jar.view.figures !== 'others'}<WaterNote bind:value={jar.form.texts.water} />{/if}
  </section>
</div>
