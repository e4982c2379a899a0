<script lang="ts">
  import { page } from '$app/state';
  import YearSheet from '$lib/ui/care/YearSheet.svelte';

  let { data } = $props();
</script>

<svelte:head><title>{data.of.year} · {data.tag} · Indaga</title></svelte:head>

<p class="no-print mb-1"><a class="plain-link tap" href="/o/{page.params.secret}">{data.tag}</a></p>
<YearSheet tag={data.tag} name={data.name} owner={data.owner} of={data.of} due={data.due} units={data.prefs.units} />
