<!-- @component By which ruler, and whether heights or thicknesses are typed. -->
<script lang="ts">
  import Choice from '../fields/Choice.svelte';
  import { t } from '$lib/words';
  import type { ReadingForm } from './form.svelte';

  let { form }: { form: ReadingForm } = $props();
</script>

<Choice
  label={t.read.ruler}
  hideLabel
  value={form.texts.ruler}
  onchange={(ruler) => form.setRuler(ruler)}
  options={form.rulers.map((value) => ({ value, label: t.read.rulers[value] }))}
/>
<Choice
  label={t.read.entry}
  hideLabel
  value={form.texts.way}
  onchange={(way) => form.setWay(way)}
  options={(['heights', 'thicknesses'] as const).map((value) => ({ value, label: t.read[value] }))}
/>
