<script lang="ts">
  let { data, form } = $props();
</script>

<svelte:head><title>Open this device · Indaga</title></svelte:head>

<div class="mx-auto max-w-md">
  <h1>Open this device</h1>
  {#if data.made}
    <p>The yard’s passphrase opens it once; whoever signs has a PIN besides.</p>
    <form method="POST" class="panel mt-3 space-y-3 p-4">
      <input type="hidden" name="back" value={data.back} />
      <label class="block"
        ><span class="label-caps">Passphrase</span><input
          class="input w-full"
          type="password"
          name="passphrase"
          autocomplete="current-password"
          maxlength="400"
          required
        /></label
      >
      {#if form?.message}<p class="font-medium text-error" role="alert">{form.message}</p>{/if}
      <button class="btn btn-primary w-full">Open</button>
    </form>
  {:else}
    <p class="mt-3 border-l-4 border-warning pl-3">
      Nobody has set a passphrase yet. The address to set it was printed where the server was started; open that one.
    </p>
  {/if}
</div>
