<!-- @component A button that asks for files. What is wrong with one is for whoever takes it to say. -->
<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { FileUpload, useFileUpload } from '@skeletonlabs/skeleton-svelte';

  type Props = {
    /** What the button says. */
    label: string;
    /** Kinds of files that the device offers first, as in `accept`. */
    accept: string;
    /** Most files at once. */
    most?: number;
    /** Opens the camera of a phone. */
    capture?: 'environment';
    disabled?: boolean;
    /** Told of the files; none are kept by the button. */
    onpick: (files: File[]) => void;
  };
  let { label, accept, most = 1, capture, disabled = false, onpick }: Props = $props();

  let picker = $state<HTMLElement>();
  // Picked before the page was awake, when nobody was told. Asked before the button below wakes and empties the input.
  onMount(() => {
    const input = picker?.querySelector<HTMLInputElement>('input[type=file]');
    const early = [...(input?.files ?? [])].slice(0, most);
    if (early.length > 0) onpick(early);
  });

  const id = $props.id();
  const upload = useFileUpload(() => ({
    id,
    maxFiles: most,
    capture,
    disabled,
    onFileChange: async ({ acceptedFiles, rejectedFiles }) => {
      const files = [...acceptedFiles, ...rejectedFiles.map((r) => r.file)];
      if (files.length === 0) return;
      onpick(files);
      // They are somebody else's from here on; the same file may be picked again, once the input has let go of it.
      await tick();
      upload().clearFiles();
      upload().clearRejectedFiles();
    }
  }));
</script>

<!-- A span, for it stands in lines of text, where a block would part them. -->
<FileUpload.Provider value={upload}>
  {#snippet element(attributes)}
    <span {...attributes as object} class="contents" bind:this={picker}>
      <FileUpload.Trigger class="btn btn-secondary">{label}</FileUpload.Trigger>
      <FileUpload.HiddenInput aria-label={label} {accept} />
    </span>
  {/snippet}
</FileUpload.Provider>
