<!-- @component The clock of a practice jar in hand: play and hold, how fast, wind back and forth, lay tape. -->
<script lang="ts">
  import Pause from '@lucide/svelte/icons/pause';
  import Play from '@lucide/svelte/icons/play';
  import { t } from '$lib/words';
  import Choice from '../fields/Choice.svelte';
  import Slide from '../kit/Slide.svelte';
  import { SPEEDS, type Playing } from './playing.svelte';

  type Props = { play: Playing; onlay: () => void };
  let { play, onlay }: Props = $props();
  const w = t.practice.jar;
  /** Steps of the slider over the whole time. */
  const STEPS = 400;
</script>

<div class="grid gap-2">
  <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
    <button type="button" class="btn btn-primary" onclick={onlay}>{w.lay}</button>
    <button type="button" class="btn btn-secondary" onclick={() => play.toggle()}>
      {#if play.running}<Pause size="1.1em" aria-hidden="true" /> {w.hold}{:else}<Play
          size="1.1em"
          aria-hidden="true"
        />
        {w.play}{/if}
    </button>
    <Choice
      label={w.speed}
      hideLabel
      bind:value={play.speed}
      options={SPEEDS.map((value) => ({ value, label: w.times(Number(value)) }))}
    />
  </div>
  <Slide
    label={w.wind}
    labelUnseen
    value={Math.round(play.place * STEPS)}
    min={0}
    max={STEPS}
    oninput={(at) => play.windTo(at / STEPS)}
  />
</div>
