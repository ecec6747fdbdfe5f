<!-- @component The steps of a method in the order of the work: written, put in order by hand or by keys, taken off. -->
<script lang="ts">
  import GripVertical from '@lucide/svelte/icons/grip-vertical';
  import { dragHandle, dragHandleZone } from 'svelte-dnd-action';
  import { ulid } from 'ulid';
  import { t } from '$lib/words';
  import type { StepTexts } from './form';

  type Props = {
    steps: StepTexts[];
    error?: string;
    /** Said under the list. */
    note?: string;
  };
  let { steps = $bindable(), error, note }: Props = $props();

  const w = t.methods;
  const FLIP_MS = 150;
  type Moved = CustomEvent<{ items: StepTexts[] }>;
  const put = (event: Moved) => (steps = event.detail.items);
</script>

<fieldset class="group">
  <legend>{t.plan.steps}</legend>
  <ol
    use:dragHandleZone={{ items: steps, flipDurationMs: FLIP_MS, dropTargetStyle: {}, type: 'steps' }}
    onconsider={put}
    onfinalize={put}
  >
    {#each steps as step, i (step.id)}
      <li>
        <span class="grip grid place-items-center min-h-touch" use:dragHandle aria-label={w.moveStep(i + 1)}>
          <GripVertical aria-hidden="true" />
        </span>
        <textarea class="textarea" rows="1" aria-label={w.step(i + 1)} bind:value={step.text} maxlength="300"
        ></textarea>
        <textarea
          class="textarea"
          rows="1"
          aria-label={w.why(i + 1)}
          bind:value={step.why}
          placeholder={w.whyHint}
          maxlength="300"></textarea>
        <button
          type="button"
          class="link"
          aria-label={w.dropStep(i + 1)}
          onclick={() => (steps = steps.filter((_, j) => j !== i))}>{t.ground.takeOff}</button
        >
      </li>
    {/each}
  </ol>
  {#if note}<p class="faded small">{note}</p>{/if}
  {#if error}<p class="wrong small" role="alert">{error}</p>{/if}
  <button
    type="button"
    class="btn btn-secondary"
    onclick={() => (steps = [...steps, { id: ulid(), text: '', why: '' }])}
  >
    {w.addStep}
  </button>
</fieldset>

<style>
  ol {
    width: 100%;
    margin: 0;
    padding-left: 0;
    list-style: none;
    counter-reset: step;
  }
  li {
    counter-increment: step;
    display: grid;
    grid-template-columns: 1.5rem auto minmax(0, 1fr) minmax(0, 1fr) auto;
    gap: var(--spacing-1) var(--spacing-3);
    align-items: start;
    padding: var(--spacing-1) 0;
  }
  li::before {
    content: counter(step) '.';
    line-height: 44px;
    text-align: right;
    font-weight: 650;
  }
  .grip {
    color: var(--faded);
  }
  .textarea {
    padding-top: var(--spacing-3);
    line-height: 1.3;
    resize: none;
    field-sizing: content;
  }
  @media (max-width: 900px) {
    li {
      grid-template-columns: 1.5rem auto minmax(0, 1fr);
      padding: var(--spacing-2) 0;
    }
    .grip ~ * ~ * {
      grid-column: 3;
    }
    li .link {
      justify-self: start;
      min-height: 44px;
    }
  }
</style>
