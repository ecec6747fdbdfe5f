<!-- @component The parts of the triangle station. -->
<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';

  const parts = [
    { href: '/know', name: t.know.nav.triangle },
    { href: '/know/how', name: t.know.nav.how },
    { href: '/know/compare', name: t.know.nav.compare }
  ];
</script>

<nav aria-label={t.know.title} class="no-print flex flex-wrap gap-y-0 gap-x-7 pt-3">
  {#each parts as part (part.href)}
    <a
      class="inline-flex items-center min-h-touch text-faded no-underline"
      href={part.href}
      aria-current={page.url.pathname === part.href ? 'page' : undefined}>{part.name}</a
    >
  {/each}
</nav>

<style>
  a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    border-bottom: var(--line-strong) solid var(--ink);
  }
</style>
