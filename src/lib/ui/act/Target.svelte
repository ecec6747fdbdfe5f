<!-- @component How far a soil lies from what is aimed at, in points, never as a mark. -->
<script lang="ts">
  import { pointsApart, type Fractions } from '$lib/core';
  import { t } from '$lib/words';
  import Field from '../fields/Field.svelte';
  import type { ActEntry } from './acting.svelte';

  type Props = { entry: ActEntry; soil: Fractions };
  let { entry = $bindable(), soil }: Props = $props();

  const USUAL: Fractions = { sand: 40, silt: 40, clay: 20 };
  const aimed = $derived.by((): Fractions | undefined => {
    if (entry.target.trim() === '') return USUAL;
    const parts = entry.target
      .split(/[/\s;]+/)
      .filter(Boolean)
      .map((p) => Number(p.replace(',', '.')));
    const [sand, silt, clay] = parts;
    const fine = parts.length === 3 && parts.every((p) => p >= 0) && Math.abs(sand + silt + clay - 100) <= 1;
    return fine ? { sand, silt, clay } : undefined;
  });
</script>

<div>
  <Field
    label={t.act.target.label}
    error={aimed ? undefined : t.act.target.wrong}
    hint={aimed &&
      t.act.target.distance(pointsApart(soil, aimed).toFixed(0), entry.target.trim() || t.act.target.usual)}
  >
    {#snippet children(at)}<input
        {...at}
        class="input"
        bind:value={entry.target}
        placeholder={t.act.target.usual}
      />{/snippet}
  </Field>
</div>
