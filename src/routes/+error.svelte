<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>Not found · Indaga</title></svelte:head>
<section class="mx-auto max-w-xl py-16">
  <h1>{page.status === 404 ? 'Off the chart' : 'Something went wrong'}</h1>
  <p class="mt-2 text-lg">{page.error?.message}</p>
  <p class="mt-4"><a class="btn btn-primary" href="/">Back to the yard</a></p>
</section>
