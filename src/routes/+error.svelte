<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';
</script>

<h1>{t.error.title}</h1>
<p>{page.error?.message}</p>
<p><a class="link" href="/">{t.error.back}</a></p>

<style>
  h1 {
    margin: var(--spacing-8) 0 var(--spacing-5);
  }
  p {
    margin-bottom: var(--spacing-5);
  }
</style>
