<script lang="ts">
  let { data, form } = $props();
</script>

<svelte:head><title>First start · Indaga</title></svelte:head>

<div class="mx-auto max-w-md">
  <h1>First start</h1>
  {#if data.open}
    <p>
      A passphrase opens the phones and tablets of this yard; a name with a PIN signs. You are the first one; others are
      added afterwards.
    </p>
    <form method="POST" class="panel mt-3 space-y-3 p-4">
      <label class="block"
        ><span class="label-caps">Passphrase, {data.least} characters or more</span><input
          class="input w-full"
          type="password"
          name="passphrase"
          autocomplete="new-password"
          minlength={data.least}
          maxlength="400"
          required
        /></label
      >
      <label class="block"
        ><span class="label-caps">Your name</span><input
          class="input w-full"
          name="name"
          value={form?.name ?? ''}
          autocomplete="name"
          maxlength="80"
          required
        /></label
      >
      <label class="block"
        ><span class="label-caps">Your PIN, 4 to 12 digits</span><input
          class="input w-full"
          type="password"
          inputmode="numeric"
          name="pin"
          autocomplete="new-password"
          pattern="\d{'{4,12}'}"
          required
        /></label
      >
      {#if form?.message}<p class="font-medium text-error" role="alert">{form.message}</p>{/if}
      <button class="btn btn-primary w-full">Set them</button>
    </form>
  {:else}
    <p class="mt-3 border-l-4 border-warning pl-3" role="alert">
      {data.set
        ? 'The passphrase is set: this address has done its work.'
        : 'This is not the address that was printed at the start. Look where the server was started.'}
    </p>
    <p class="mt-3"><a class="btn btn-primary" href="/door">To the door</a></p>
  {/if}
</div>
