<script lang="ts">
  import { page } from '$app/state';
  import { isInstrument } from '$lib/contract/cylinder';
  import LeftOff from '$lib/ui/fields/LeftOff.svelte';
  import Answer from '$lib/ui/set/Answer.svelte';
  import FillFields from '$lib/ui/set/FillFields.svelte';
  import MethodChoice from '$lib/ui/set/MethodChoice.svelte';
  import SampleChoice from '$lib/ui/set/SampleChoice.svelte';
  import { jarToSet } from '$lib/ui/set/set-form.svelte';
  import VesselChoice from '$lib/ui/set/VesselChoice.svelte';
  import { formatFor } from '$lib/words/format';
  import { t } from '$lib/words';

  let { data } = $props();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  const jar = jarToSet(
    () => data,
    () => page.data.profile
  );
  const { keeping } = jar;
  let vesselOnItsWay = $state(false);
</script>

<form
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.08fr)] gap-y-0 gap-x-9 pt-6 max-md:grid-cols-1"
  use:keeping.enhance
  method="POST"
  novalidate
>
  <div class="ask">
    <h1 class="mb-5">{t.set.title}</h1>
    <p class="small stands"><a class="link" href="/stands">{t.stands.fromSet}</a></p>
    <LeftOff at={jar.leftAt} {format} onafresh={() => jar.startAfresh()} />

    <fieldset>
      <legend>{t.set.sample}</legend>
      <SampleChoice bind:form={jar.texts} samples={data.samples} areas={data.areas} error={jar.view.errors} />
    </fieldset>

    <fieldset>
      <legend>{t.set.vessel}</legend>
      <VesselChoice
        vessels={data.vessels}
        vessel={jar.view.vessel}
        bind:vesselId={jar.texts.vesselId}
        error={jar.view.errors.vesselId}
        bind:describing={jar.describing}
        bind:sending={vesselOnItsWay}
        {format}
      />
    </fieldset>

    <fieldset>
      <legend>{t.set.method}</legend>
      <MethodChoice
        methods={data.methods}
        method={jar.view.method}
        bind:trueMarks={jar.texts.trueMarks}
        onmethod={jar.takeMethod}
      />
    </fieldset>

    <fieldset
      class="grid-cols-[repeat(3,minmax(0,1fr))] items-start max-md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
    >
      <legend class="col-span-full">{t.set.fill}</legend>
      <FillFields
        bind:texts={jar.texts}
        answer={jar.view.answer}
        error={jar.view.errors}
        heights={!isInstrument(jar.view.method)}
        profile={format.profile}
      />
    </fieldset>
  </div>

  <div class="answer sticky top-[92px] self-start pt-2">
    <Answer
      answer={jar.view.answer}
      method={jar.view.method}
      vessel={jar.view.vessel}
      code={jar.view.sample?.code ?? '?'}
      {format}
    >
      {#if keeping.errors['']}<p class="wrong" role="alert">{keeping.errors['']}</p>{/if}
      <div class="go">
        <button class="btn btn-primary" disabled={keeping.sending || vesselOnItsWay}>{t.set.prepare}</button>
      </div>
    </Answer>
  </div>
</form>

<style>
  .stands {
    margin: calc(-1 * var(--spacing-3)) 0 var(--spacing-6);
  }
  fieldset {
    border: 0;
    padding: 0;
    margin: 0 0 var(--spacing-6);
    display: grid;
    gap: var(--spacing-3);
    justify-items: start;
  }
  fieldset :global(.field) {
    width: 100%;
  }
  legend {
    font: 620 var(--text-xl)/1.3 var(--face-head);
    padding: 0 0 var(--spacing-3);
  }
  fieldset:nth-of-type(2) > :global(.field > label) {
    position: absolute;
    clip-path: inset(50%);
    height: 1px;
    overflow: hidden;
  }
  .go {
    margin-top: var(--spacing-5);
  }
  @media (max-width: 900px) {
    .answer {
      position: static;
    }
    .go {
      position: sticky;
      bottom: var(--foot);
      padding: var(--spacing-3) 0;
      background: var(--paper);
    }
    .go .btn-primary {
      width: 100%;
      min-height: 56px;
    }
  }
</style>
