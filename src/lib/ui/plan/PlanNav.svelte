<!-- @component The parts of the Plan station, in a line. -->
<script lang="ts">
  import { page } from '$app/state';
  import { t } from '../strings';

  const parts = [
    { href: '/plan/gather', name: t.gather.title },
    { href: '/plan/labels', name: t.labels.title },
    { href: '/plan', name: t.plan.title },
    { href: '/plan/timetable', name: t.timetable.title }
  ];
</script>

<nav class="no-print" aria-label={t.stations.plan}>
  {#each parts as part (part.href)}
    <a href={part.href} aria-current={page.url.pathname === part.href ? 'page' : undefined}>{part.name}</a>
  {/each}
</nav>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0 2rem;
    margin-top: 0.8rem;
  }
  a {
    display: flex;
    align-items: center;
    min-height: 44px;
    color: var(--faded);
    text-decoration: underline dotted;
    text-decoration-thickness: 1px;
    text-underline-offset: 4px;
  }
  a:hover {
    color: var(--ink);
  }
  a[aria-current] {
    color: var(--ink);
    font-weight: 700;
    text-decoration: none;
  }
</style>
