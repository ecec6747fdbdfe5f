<!-- @component How a jar was set: glass, fill, water, dispersant, warmth and method, and another method where that can still be. -->
<script lang="ts">
  import type { JarRecord } from '$lib/contract/records/jar';
  import type { RunRecord } from '$lib/contract/records/run';
  import type { Format } from '$lib/words/format';
  import { t } from '$lib/words';
  import { doseWords, usedWords } from '$lib/workbench/used';
  import { heightIn, weighedWords } from '../set/amounts';
  import SoilWeight from '../set/SoilWeight.svelte';
  import UsedOnJar from '../set/UsedOnJar.svelte';
  import OtherMethod from './OtherMethod.svelte';

  type Props = {
    jar: JarRecord;
    run: RunRecord | null | undefined;
    /** That it may be taken by instead. */
    methods: { key: string; name: string }[];
    format: Format;
    /** Whether its method may still be changed. */
    changeable: boolean;
  };
  let { jar, run, methods, format, changeable }: Props = $props();
  const facts = $derived([
    doseWords(jar, format),
    ...usedWords({ ...jar.used, dispersant: undefined }),
    jar.notMeasured.includes('tempC') ? t.used.tempTaken(format.temp(jar.tempC)) : format.temp(jar.tempC)
  ]);
</script>

<section>
  <h2>{t.jar.facts}</h2>
  {#if jar.notMeasured.includes('soilMm')}<p>{t.stands.filledUnseen}</p>{:else}<p>
      {jar.vessel.name} · {t.set.answerSoil(heightIn(jar.vessel, jar.soilMm, format))} · {t.set.water.toLowerCase()}
      {heightIn(jar.vessel, jar.waterMm, format)} ·
      {facts.join(' · ')}
    </p>{/if}
  <p>
    <a class="link ink" href="/plan/methods/{jar.methodKey}?version={jar.methodVersion}"
      >{t.jar.byMethod(jar.method.name, jar.methodVersion)}</a
    >{jar.marks ? `, ${t.jar.withTrueMarks}` : ''}
  </p>
  {#if run && !run.stood && !jar.cylinder}
    {#if jar.status === 'finished'}{#if jar.weighed}<p>{weighedWords(jar.weighed)}</p>{/if}
    {:else}<SoilWeight {jar} /><UsedOnJar {jar} />{/if}
  {/if}
  {#if changeable}<OtherMethod {jar} {methods} />{/if}
</section>
