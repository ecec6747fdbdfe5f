<!-- @component A report as the sheet of paper that it becomes: the same text, tables and drawings as its files. -->
<script lang="ts">
  type Props = {
    /** Made by `formats/report-html`, which lets no markup of anybody through. */
    body: string;
  };
  let { body }: Props = $props();
</script>

<!-- eslint-disable-next-line svelte/no-at-html-tags -- one way to write a report: its file and this page are the same -->
<article class="report">{@html body}</article>

<style>
  .report {
    max-width: 54rem;
    margin: 0 auto var(--spacing-9);
    padding: var(--spacing-8) var(--spacing-8);
    background: var(--sheet);
    border: var(--line) solid var(--rule);
  }
  .report :global {
    header {
      margin-bottom: var(--spacing-6);
      padding-bottom: var(--spacing-2);
      border-bottom: var(--line-strong) solid var(--ink);
    }
    header p:first-child {
      font-weight: 700;
    }
    h1 {
      font-size: var(--text-3xl);
      line-height: 1.2;
    }
    h2 {
      margin: var(--spacing-7) 0 var(--spacing-2);
      font-size: var(--text-xl);
      break-after: avoid;
    }
    .faded,
    figcaption,
    footer {
      color: var(--faded);
    }
    .result {
      margin-top: var(--spacing-4);
      font-size: var(--text-xl);
      font-weight: 700;
    }
    .answer {
      display: flex;
      flex-wrap: wrap;
      gap: var(--spacing-4) var(--spacing-7);
      align-items: flex-start;
    }
    .answer > div {
      flex: 1 1 18rem;
    }
    figure {
      margin: var(--spacing-2) 0;
      break-inside: avoid;
    }
    figcaption {
      position: absolute;
      clip-path: inset(50%);
    }
    figure svg {
      width: 100%;
      height: auto;
      /* Drawn in black for white paper. */
      background: var(--label);
    }
    svg text {
      font-family: inherit;
    }
    .wide {
      overflow-x: auto;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      padding: var(--spacing-2) var(--spacing-4) var(--spacing-2) 0;
      text-align: left;
      vertical-align: top;
      border-bottom: var(--line) solid var(--hair);
    }
    th {
      color: var(--faded);
      font-size: var(--text-sm);
      border-bottom-color: var(--ink);
    }
    tr {
      break-inside: avoid;
    }
    .n {
      text-align: right;
      white-space: nowrap;
    }
    caption {
      padding: var(--spacing-4) 0 var(--spacing-1);
      text-align: left;
      font-weight: 700;
    }
    footer {
      margin-top: var(--spacing-7);
      padding-top: var(--spacing-2);
      border-top: var(--line) solid var(--hair);
    }
  }
  @media print {
    .report {
      max-width: none;
      margin: 0;
      padding: 0;
      border: 0;
      font-size: var(--text-sm);
    }
  }
  @media (max-width: 640px) {
    .report {
      padding: var(--spacing-5) var(--spacing-4);
    }
  }
</style>
