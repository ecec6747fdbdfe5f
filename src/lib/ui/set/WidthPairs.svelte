<!-- @component Diameters of a vessel at heights, typed pair by pair. -->
<script lang="ts">
  import type { FieldErrors } from '../fields/command-form.svelte';
  import { t } from '$lib/words';

  type Props = {
    /** Heights and diameters as typed; a pair can be taken out. */
    pairs: { height: string; diameter: string }[];
    /** What is wrong: with a pair under `pairs.N`, with all of them under `profile`. */
    errors: FieldErrors;
    /** Unit that stands in an empty field. */
    unit: string;
  };
  let { pairs, errors, unit }: Props = $props();

  const PARTS = ['height', 'diameter'] as const;
</script>

<table class="pairs">
  <thead>
    <tr>
      {#each PARTS as part (part)}
        <th class="text-left font-medium pb-1" scope="col">{t.vessel[part]}</th>
      {/each}
    </tr>
  </thead>
  <tbody>
    {#each pairs as pair, i (i)}
      <tr>
        {#each PARTS as part (part)}
          <td class="py-1 pr-3 pl-0">
            <input
              class="input"
              aria-label="{t.vessel[part]} {i + 1}"
              bind:value={pair[part]}
              placeholder={unit}
              aria-invalid={errors[`pairs.${i}`] ? 'true' : undefined}
              aria-describedby={errors[`pairs.${i}`] ? `pair-${i}-error` : undefined}
            />
          </td>
        {/each}
        <td class="py-1 pr-3 pl-0">
          {#if pairs.length > 2}
            <button
              type="button"
              class="link"
              aria-label={t.vessel.dropPair(i + 1)}
              onclick={() => pairs.splice(i, 1)}>{t.vessel.drop}</button
            >
          {/if}
        </td>
      </tr>
      {#if errors[`pairs.${i}`]}
        <tr>
          <td class="py-1 pr-3 pl-0" colspan="3"
            ><p class="wrong small" id="pair-{i}-error" role="alert">{errors[`pairs.${i}`]}</p></td
          >
        </tr>
      {/if}
    {/each}
  </tbody>
</table>
{#if errors.profile}<p class="wrong small" role="alert">{errors.profile}</p>{/if}

<style>
  .pairs {
    width: 100%;
    border-collapse: collapse;
  }
  .pairs .input {
    width: 100%;
  }
</style>
