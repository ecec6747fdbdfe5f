<!-- @component Two of the three percentages typed make a point; the third is shown as the rest. -->
<script lang="ts">
  import type { Fractions } from '$lib/core';
  import Field from '../fields/Field.svelte';
  import { t } from '$lib/words';
  import { readTyped, restOf, type TypedFractions } from './typed';

  type Props = {
    typed: TypedFractions;
    /** The soil in hand, greyed in the fields while nothing is typed. */
    point?: Fractions;
    /** Whether there is something to put back. */
    moved: boolean;
    onpoint: (f: Fractions) => void;
    onback: () => void;
  };
  let { typed = $bindable(), point, moved, onpoint, onback }: Props = $props();

  const errors = $derived(readTyped(typed).errors);
  const rest = $derived(restOf(typed));
  function take() {
    const made = readTyped(typed).point;
    if (made) onpoint(made);
  }
</script>

<form
  class="no-print flex flex-wrap items-start gap-y-3 gap-x-5"
  onsubmit={(e) => (e.preventDefault(), take())}
  novalidate
>
  {#each ['sand', 'silt', 'clay'] as const as part (part)}
    <Field label={`${t.Layer[part]}, %`} error={errors[part]}>
      {#snippet children(entry)}
        <input
          {...entry}
          class="input w-[6.2rem]"
          inputmode="decimal"
          bind:value={typed[part]}
          placeholder={rest[part] ?? (point ? point[part].toFixed(1) : '')}
          oninput={take}
        />
      {/snippet}
    </Field>
  {/each}
  {#if moved}<button type="button" class="btn btn-secondary mt-6" onclick={onback}>{t.know.back}</button>{/if}
</form>
