<!-- @component How far a soil lies from what is aimed at, in points, never as a mark. -->
<script lang="ts">
  import { outcomeOf, pointsApart, readTarget, USUAL_TARGET, type Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import type { ActEntry } from './acting.svelte';

  type Props = { entry: ActEntry; soil: Fractions };
  let { entry = $bindable(), soil }: Props = $props();

  const read = $derived(
    outcomeOf(() => (entry.target.trim() === '' ? USUAL_TARGET : readTarget(entry.target)))
  );
</script>

<div>
  <Field
    label={t.act.target.label}
    error={read.problem?.message}
    hint={read.done &&
      t.act.target.distance(
        pointsApart(soil, read.done).toFixed(0),
        entry.target.trim() || t.act.target.usual
      )}
  >
    {#snippet children(at)}<input
        {...at}
        class="input"
        bind:value={entry.target}
        placeholder={t.act.target.usual}
      />{/snippet}
  </Field>
</div>
