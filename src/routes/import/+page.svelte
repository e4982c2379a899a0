<script lang="ts">
  let { form } = $props();
</script>

<svelte:head><title>Import · Indaga</title></svelte:head>
<section class="mx-auto max-w-2xl">
  <h1>Import a survey file</h1>
  <p class="mt-1">It becomes an engine with an assessment of its own. All of it is taken in, or nothing is.</p>
  <form method="POST" enctype="multipart/form-data" class="panel mt-4 space-y-3 p-4">
    <label class="block"
      ><span class="label-caps">Survey file (.json)</span><input
        class="input w-full py-2"
        type="file"
        name="file"
        accept=".json,application/json"
        aria-describedby="import-error"
      /></label
    >
    {#if form?.message}
      <div id="import-error" class="border-l-4 border-error pl-3" role="alert">
        <p class="font-semibold text-error">{form.name ? `${form.name}: ` : ''}{form.message}</p>
        {#if form.path}<p class="text-sm">Where: <span class="font-mono">{form.path}</span></p>{/if}
        <p class="text-sm">Nothing was imported.</p>
      </div>
    {/if}
    <button class="btn btn-primary">Import</button>
  </form>
  <p class="mt-4 text-sm">
    The format is open: its JSON Schema and examples are in the project’s <span class="font-mono">docs/</span> folder.
  </p>
</section>
