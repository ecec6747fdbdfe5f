<!-- @component Which method a jar is run by, what it asks for, and by which sizes its marks are made. -->
<script lang="ts">
  import { TRUE_SAND_LIMITS_UM, type Method } from '$lib/core';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';

  type Props = {
    methods: Method[];
    method: Method;
    /** Size from which sand is counted, as chosen; empty for the method's own marks. */
    trueMarks: string;
    onmethod: (key: string) => void;
  };
  let { methods, method, trueMarks = $bindable(), onmethod }: Props = $props();
</script>

<div class="methods">
  {#each methods as m (m.key)}
    <label class="flex gap-3 items-center min-h-touch cursor-pointer leading-[1.2]">
      <input
        class="radio"
        type="radio"
        name="method"
        value={m.key}
        checked={m.key === method.key}
        onchange={() => onmethod(m.key)}
      />
      <strong>{m.name}</strong>
    </label>
  {/each}
</div>
<p>
  {method.purpose}
  <span class="faded small">{method.stand}</span>
  <a class="link small" href="/plan/methods/{method.key}">{t.plan.stepsOf}</a>
  <a class="link small" href="/plan/methods">{t.plan.compare}</a>
</p>
{#if method.marks.length > 1}
  <Choice
    label={t.set.marksAt}
    bind:value={trueMarks}
    options={[
      { value: '', label: t.set.marksAsked },
      ...TRUE_SAND_LIMITS_UM.map((um) => ({ value: String(um), label: t.set.marksTrue(um) }))
    ]}
  />
  <p class="faded small">{trueMarks === '' ? t.set.marksAskedHint : t.set.marksTrueHint}</p>
{/if}

<style>
  .methods {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
    gap: 0 var(--spacing-5);
    width: 100%;
  }
  .methods + p > * {
    display: block;
    margin-top: var(--spacing-1);
    justify-self: start;
    width: fit-content;
  }
</style>
