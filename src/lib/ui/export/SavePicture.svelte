<!-- @component Saves a drawing as SVG or PNG, with its legend and where it comes from. -->
<script lang="ts">
  import { say, sayProblem } from '$lib/browser/toasts';
  import { t } from '$lib/words';
  import { savePng, saveSvg, type Caption } from './picture';

  type Made = { svg: SVGSVGElement; done: () => void };
  type Props = {
    /** The drawing, or how to make one for the file. */
    svg: SVGSVGElement | (() => Made) | undefined;
    /** What stands under the picture. */
    caption: () => Caption;
    /** Of the file, without its ending. */
    name: string;
  };
  let { svg, caption, name }: Props = $props();
  let busy = $state(false);

  async function keep(how: typeof saveSvg) {
    if (!svg) return;
    busy = true;
    const made = typeof svg === 'function' ? svg() : { svg, done: () => {} };
    try {
      await how(made.svg, caption(), name);
      say(t.saving.saved(name));
    } catch {
      sayProblem(t.saving.failed);
    } finally {
      made.done();
      busy = false;
    }
  }
</script>

<span class="no-print inline-flex gap-5">
  <button type="button" class="link" disabled={busy} onclick={() => keep(saveSvg)}>{t.saving.svg}</button>
  <button type="button" class="link" disabled={busy} onclick={() => keep(savePng)}>{t.saving.png}</button>
</span>
