<!-- @component What a reading is made of: heights, shares that an eye judges, or somebody's numbers. -->
<script lang="ts">
  import { FIGURES } from '$lib/contract/records/reading';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import type { ReadingForm } from './form.svelte';

  let { form }: { form: ReadingForm } = $props();

  /** By which of the two heights were typed, once shares are left again. */
  let byRuler = $state<'heights' | 'thicknesses'>('heights');
  $effect(() => {
    const { way } = form.texts;
    if (way === 'heights' || way === 'thicknesses') byRuler = way;
  });
  const kinds = ['heights', ...FIGURES] as const;
</script>

<Choice
  label={t.stands.what}
  value={form.figures ?? 'heights'}
  onchange={(kind) => form.setWay(kind === 'heights' ? byRuler : kind)}
  options={kinds.map((value) => ({ value, label: t.stands.ways[value] }))}
/>
