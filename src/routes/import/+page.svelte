<script lang="ts">
  import { enhance } from '$app/forms';
  import { sayBytes } from '$lib/ui/marks/bytes.ts';

  let { form } = $props();
  /** What is being read, and how to stop it. */
  let reading = $state.raw<{ readonly name: string; readonly bytes: number; readonly stop: () => void }>();
</script>

<svelte:head><title>Import · Indaga</title></svelte:head>
<section class="mx-auto max-w-2xl">
  <h1>Import an assessment</h1>
  <p class="mt-1">It becomes an engine with an assessment of its own. All of it is taken in, or nothing is.</p>
  <form
    method="POST"
    enctype="multipart/form-data"
    class="panel mt-4 space-y-3 p-4"
    use:enhance={({ formData, controller }) => {
      const file = formData.get('file');
      reading = {
        name: file instanceof File ? file.name : '',
        bytes: file instanceof File ? file.size : 0,
        stop: () => controller.abort()
      };
      return async ({ update }) => {
        reading = undefined;
        await update({ reset: false });
      };
    }}
  >
    <label class="block"
      ><span class="label-caps">Survey file (.json), or bundle with its photographs (.zip)</span><input
        class="input w-full py-2"
        type="file"
        name="file"
        accept=".json,.zip,application/json,application/zip"
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
    {#if reading}
      <div role="status" class="space-y-2">
        <p>Reading {reading.name}, {sayBytes(reading.bytes)}…</p>
        <progress class="progress w-full progress-primary" aria-label="Reading the file"></progress>
        <button type="button" class="btn btn-outline btn-primary" onclick={() => reading?.stop()}>Stop</button>
      </div>
    {:else}<button class="btn btn-primary">Import</button>{/if}
  </form>
  <p class="mt-4 text-sm">
    The format is open: its JSON Schema and examples are in the project’s <span class="font-mono">docs/</span> folder.
  </p>
</section>
