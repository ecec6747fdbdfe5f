<!-- @component The parts of the Plan station, in a line. -->
<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';

  const parts = [
    { href: '/plan', own: '/plan/ground', name: t.plan.parts.ground },
    { href: '/plan/methods', name: t.plan.parts.marks },
    { href: '/plan/gather', name: t.plan.parts.gather },
    { href: '/plan/timetable', name: t.plan.parts.timetable },
    { href: '/plan/labels', name: t.plan.parts.labels }
  ];
  const isHere = ({ href, own }: { href: string; own?: string }) =>
    page.url.pathname === href || (own !== undefined && page.url.pathname.startsWith(own));
</script>

<nav class="no-print flex flex-wrap gap-y-0 gap-x-6 mt-4" aria-label={t.stations.plan}>
  {#each parts as part (part.href)}
    <a href={part.href} aria-current={isHere(part) ? 'page' : undefined}>{part.name}</a>
  {/each}
</nav>

<style>
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
