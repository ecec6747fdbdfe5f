<!-- @component What is asked about a mark in the breath in which it is pressed: whether it was meant, for which layer, and on which jar. -->
<script lang="ts">
  import { formatDuration, formatTapeTime } from '$lib/core';
  import { page } from '$app/state';
  import { benchNow } from '$lib/browser/shelf';
  import { byUrgency, type JarView } from '$lib/workbench/jars';
  import { formatFor } from '$lib/words/format';
  import { TEXTURE_LAYERS, type TextureLayer } from '$lib/workbench/layers';
  import { record } from '$lib/browser/actions';
  import { keepMark, press } from '$lib/browser/press.svelte';
  import Sheet from '../station/Sheet.svelte';
  import { t } from '$lib/words';

  const asked = $derived(press.question);
  const bench = benchNow();
  const format = $derived(formatFor(page.data.profile, page.data.zone));
  /** So many other jars are offered. */
  const MOST_JARS = 4;
  const time = $derived(asked ? formatTapeTime((asked.at - asked.run.setDownAt) / 1000) : '');
  const title = $derived(
    !asked
      ? ''
      : asked.kind === 'far'
        ? t.asked.far(t.layer[asked.layer], time)
        : asked.kind === 'which'
          ? t.asked.which(format.toTheSecond(asked.at))
          : t.asked.again(t.layer[asked.layer], asked.jar.code)
  );
  const lead = $derived.by(() => {
    if (!asked) return '';
    if (asked.kind === 'far') {
      const { offS } = asked.timing;
      const by = formatDuration(Math.abs(offS));
      return t.asked.farLead(asked.jar.code, formatDuration(asked.plan.atS), by, offS < 0);
    }
    if (asked.kind === 'which') return t.asked.whichLead;
    const { code, layer, at } = asked.before;
    return t.asked.againLead(
      code,
      layer ? t.layer[layer] : '',
      Math.max(1, Math.round((asked.at - at) / 1000))
    );
  });
  /** Layers that it may have been meant for: those that are not marked yet. */
  const others = $derived(
    asked?.kind === 'far'
      ? TEXTURE_LAYERS.filter(
          (layer) =>
            layer !== asked.layer &&
            asked.jar.method.marks.some((m) => m.layer === layer) &&
            !asked.run.marks.some((m) => m.layer === layer)
        )
      : []
  );
  /** Jars that wait for a mark of their own: it may have been meant for one of them. */
  const otherJars = $derived(
    asked
      ? byUrgency(bench().views)
          .filter(({ jar, run, step }) => jar.id !== asked.jar.id && run && step.kind === 'mark')
          .slice(0, MOST_JARS)
      : []
  );
  const close = () => (press.question = null);

  async function meant(layer: TextureLayer) {
    if (asked?.kind !== 'far') return;
    const { jar, markId } = asked;
    close();
    await record('mark.correct', { testId: jar.id, markId, layer }, t.mark.moved(jar.code, t.layer[layer]));
  }
  async function takeOff() {
    if (asked?.kind !== 'far') return;
    const { jar, markId, layer } = asked;
    close();
    await record('mark.remove', { testId: jar.id, markId }, t.mark.removed(jar.code, t.layer[layer]));
  }
  function keep() {
    if (!asked) return;
    const { kind, jar, layer, at } = asked;
    close();
    if (kind !== 'far') void keepMark(jar, layer, at);
  }
  /** The press was meant for another jar: its moment goes there. */
  async function onOther({ jar, step }: JarView) {
    if (!asked || step.kind !== 'mark') return;
    const { kind, at } = asked;
    if (kind === 'far') await takeOff();
    else close();
    await keepMark(jar, step.layer, at);
  }
</script>

<Sheet
  bind:open={() => asked !== null, (open) => open || close()}
  {title}
  {lead}
  closeLabel={asked?.kind === 'far' ? t.asked.keepIt : t.asked.leaveIt}
>
  {#snippet actions()}
    {#if asked?.kind === 'far'}
      {#each others as layer (layer)}
        <button type="button" class="btn btn-secondary" onclick={() => meant(layer)}
          >{t.asked.itWas(t.layer[layer])}</button
        >
      {/each}
      <button type="button" class="btn btn-secondary" onclick={takeOff}>{t.asked.takeOff}</button>
    {:else}
      <button type="button" class="btn btn-primary" onclick={keep}
        >{asked?.kind === 'which'
          ? t.asked.ofJar(t.layer[asked.layer], asked.jar.code)
          : t.asked.markToo(time)}</button
      >
    {/if}
    {#each otherJars as other (other.jar.id)}
      {#if other.step.kind === 'mark'}
        <button type="button" class="btn btn-secondary" onclick={() => onOther(other)}
          >{t.asked.ofJar(t.layer[other.step.layer], other.jar.code)}</button
        >
      {/if}
    {/each}
  {/snippet}
</Sheet>
