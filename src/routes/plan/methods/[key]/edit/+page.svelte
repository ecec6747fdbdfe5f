<script lang="ts">
  import BackLink from '$lib/ui/kit/BackLink.svelte';
  import { untrack } from 'svelte';
  import { ulid } from 'ulid';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import {
    fillPlan,
    methodCuts,
    ownMethod,
    columnFacts,
    trueTimes,
    usualVessel,
    type Method
  } from '$lib/core';
  import { commandForm } from '$lib/ui/fields/command-form.svelte';
  import Field from '$lib/ui/fields/Field.svelte';
  import { formatFor } from '$lib/words/format';
  import InstrumentFields from '$lib/ui/method/InstrumentFields.svelte';
  import StepFields from '$lib/ui/method/StepFields.svelte';
  import LayerFields from '$lib/ui/method/LayerFields.svelte';
  import { methodForm, readMethodForm, type MethodErrors, type MethodForm } from '$lib/ui/method/form';
  import { cutText } from '$lib/words/steps';
  import SizeStrip from '$lib/ui/plan/SizeStrip.svelte';
  import { offerUndo } from '$lib/browser/actions';
  import { send } from '$lib/browser/outbox.svelte';
  import { t } from '$lib/words';

  let { data } = $props();
  const w = t.methods;
  const TEMP_C = 18;
  const format = $derived(formatFor(page.data.profile, page.data.zone));

  function start(): MethodForm {
    const form = methodForm(data.method);
    return data.own ? form : { ...form, name: w.copyOf(form.name).slice(0, 40) };
  }
  let form = $state<MethodForm>(untrack(start));
  const read = $derived(readMethodForm(form));
  const methodForms = commandForm({
    id: 'method',
    texts: () => form,
    read: (texts) => {
      const { draft, errors } = readMethodForm(texts);
      const methodKey = data.own ? data.method.key : `own-${ulid().toLowerCase()}`;
      return { errors, payload: { methodKey, fromKey: data.method.key, draft } };
    },
    keep: async (payload) => {
      const sent = await send('method.save', payload);
      await goto(`/plan/methods/${payload.methodKey}`);
      offerUndo(sent, w.kept(form.name.trim()), () => goto('/plan/methods'));
    },
    draft: {
      key: untrack(() => `method:${data.method.key}`),
      take: (kept) => (form = { ...form, ...kept })
    }
  });
  const errors = $derived({ ...methodForms.errors, ...read.errors } as MethodErrors);
  const clean = $derived(Object.keys(read.errors).length === 0);

  /** The method as it would be, to show what its marks mean before it is kept. */
  const would = $derived.by((): Method | undefined =>
    clean ? ownMethod(read.draft, { key: 'own', version: 1, base: data.method }) : undefined
  );
  const strip = $derived.by(() => {
    if (!would) return undefined;
    const plan = fillPlan(would, usualVessel(would));
    const jar = columnFacts({ ...plan, tempC: TEMP_C });
    const sizes = [63, 60, 50, 20, 2];
    const limits = trueTimes(jar, sizes).map((atS, i) => ({ um: sizes[i], atS }));
    return { limits, rows: [would, data.method].map((m) => ({ method: m, cuts: methodCuts(m, jar) })) };
  });

  /** What each reading of an instrument cuts, in the usual cylinder. */
  const cuts = $derived(
    (strip?.rows[0].cuts ?? []).map(({ atS, cutUm }) => ({ atS, text: `${cutText(cutUm)} µm` }))
  );
</script>

<p class="mt-5"><BackLink label={data.method.name} href="/plan/methods/{data.method.key}" /></p>
<h1 class="mt-2 mb-1">{data.own ? w.change : w.copy}</h1>
<p class="faded max-w-reading">{data.own ? w.changeLead : w.copyLead(data.method.name)}</p>

<form class="grid gap-6 mt-5" use:methodForms.enhance method="POST" novalidate>
  <div class="grid grid-cols-[1fr_2fr] gap-y-4 gap-x-7 max-md:grid-cols-1">
    <Field label={w.name} error={errors.name}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={form.name} maxlength="60" />
      {/snippet}
    </Field>
    <Field label={w.purpose}>
      {#snippet children(entry)}
        <input {...entry} class="input" bind:value={form.purpose} maxlength="300" />
      {/snippet}
    </Field>
  </div>

  {#if form.instrument}
    <InstrumentFields bind:form={form.instrument} bind:dose={form.dose} {errors} {cuts} />
  {:else}
    <LayerFields bind:form {errors} />
  {/if}

  {#if strip}
    <section>
      <h2>{w.means(format.temp(TEMP_C))}</h2>
      <SizeStrip rows={strip.rows} limits={strip.limits} linked={false} />
    </section>
  {/if}

  <StepFields
    bind:steps={form.steps}
    error={errors.steps}
    note={form.instrument ? w.stepsFollow : undefined}
  />

  {#if methodForms.errors['']}<p class="wrong" role="alert">{methodForms.errors['']}</p>{/if}
  <div class="row-of-actions">
    <button class="btn btn-primary">{w.keep}</button>
    <a class="btn btn-secondary" href="/plan/methods/{data.method.key}" onclick={methodForms.clear}
      >{t.common.cancel}</a
    >
  </div>
</form>
