<!-- @component An invitation that was just made: its code, to be read out, and its link. -->
<script lang="ts">
  import { page } from '$app/state';
  import type { Role } from '$lib/contract/records/person';
  import { t } from '$lib/words';

  type Props = { code: string; role: Role };
  let { code, role }: Props = $props();
  const link = $derived(`${page.url.origin}/join#${code}`);
</script>

<div class="slip mt-4" role="status">
  <p>{t.people.codeIs(t.people.roles[role])}</p>
  <p class="code" aria-label={t.people.code}>{code}</p>
  <p><a class="link break-all" href={link}>{link}</a></p>
  <p class="faded small">{t.people.codeOnce}</p>
</div>

<style>
  .slip {
    padding: var(--spacing-4) var(--spacing-5);
    background: var(--label);
    border: var(--line) solid var(--tape-edge);
    color: var(--tape-ink);
  }
  .code {
    font: 700 var(--text-3xl) var(--face-head);
    letter-spacing: 0.06em;
  }
</style>
