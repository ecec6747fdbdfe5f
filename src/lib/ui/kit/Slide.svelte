<!-- @component A value that is tried out by sliding: the component library's slider in ink. -->
<script lang="ts">
  import { Slider } from '@skeletonlabs/skeleton-svelte';

  type Props = {
    /** What is slid. */
    label: string;
    /** Said to those who listen only, where a field beside it has the same name in sight. */
    labelUnseen?: boolean;
    /** Where it stands, between `min` and `max`, by `step`. */
    value: number;
    min: number;
    max: number;
    step?: number;
    /** Told while it is moved. */
    oninput: (value: number) => void;
  };
  let { label, labelUnseen = false, value, min, max, step = 1, oninput }: Props = $props();
  const within = $derived(Math.min(max, Math.max(min, value)));
</script>

<Slider
  value={[within]}
  {min}
  {max}
  {step}
  aria-label={[label]}
  onValueChange={(e) => e.value[0] !== within && oninput(e.value[0])}
  class="slide small flex items-center gap-3 w-full min-h-touch"
>
  <Slider.Label class={labelUnseen ? 'sr-only' : 'flex-none font-normal'}>{label}</Slider.Label>
  <Slider.Control class="w-full">
    <Slider.Track class="h-[4px] bg-hair"><Slider.Range class="bg-ink" /></Slider.Track>
    <Slider.Thumb index={0} class="size-[26px] rounded-full border-4 border-paper bg-ink ring-0" />
  </Slider.Control>
</Slider>
