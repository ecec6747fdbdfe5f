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

<nav aria-label={t.know.title} class="no-print">
  {#each parts as part (part.href)}
    <a href={part.href} aria-current={page.url.pathname === part.href ? 'page' : undefined}>{part.name}</a>
  {/each}
</nav>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--spacing-7);
    padding-top: var(--spacing-3);
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: var(--faded);
    text-decoration: none;
  }
  a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    border-bottom: var(--line-strong) solid var(--ink);
  }
</style>
