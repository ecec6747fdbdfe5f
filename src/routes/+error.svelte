<script lang="ts">
  import { page } from '$app/state';
  import { t } from '$lib/words';
</script>

<h1 class="mt-8 mb-5">{t.error.title}</h1>
<p class="mb-5">{page.error?.message}</p>
<p class="mb-5"><a class="link" href="/">{t.error.back}</a></p>
