<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';
</script>

<h1>{t.error.title}</h1>
<p>{page.error?.message}</p>
<p><a class="link" href="/">{t.error.back}</a></p>

<style>
  h1 {
    margin: 3rem 0 1rem;
  }
  p {
    margin-bottom: 1rem;
  }
</style>
