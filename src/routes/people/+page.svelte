<script lang="ts">
  let { data, form } = $props();
  const may = $derived(data.me?.role === 'technician' || data.me?.role === 'teacher');
  const means = {
    technician: 'signs records, overrides and house rules',
    apprentice: 'takes readings and does the work; signs and overrides nothing',
    teacher: 'as a technician, and sees how everybody did in a practice set'
  } as const;
</script>

<svelte:head><title>People · Indaga</title></svelte:head>

<h1>People</h1>
{#if !data.needed}
  <p class="max-w-prose">
    This server answers on this machine alone, so nobody has to sign in: whoever sits here may do everything, under the
    name in the <a class="plain-link" href="/settings">settings</a>. As soon as it is bound to a network (HOST=0.0.0.0)
    it asks for a passphrase, and names with a PIN sign.
  </p>
{:else}
  <div class="grid gap-4 md:grid-cols-2">
    <section class="panel p-4" aria-labelledby="me">
      <h2 id="me">On this device</h2>
      {#if data.me?.name}
        <p><strong dir="auto">{data.me.name}</strong>, {data.me.role}: {means[data.me.role!]}.</p>
        <form method="POST" action="?/signout" class="mt-2">
          <button class="btn btn-outline btn-primary">Sign off</button>
        </form>
      {:else}
        <p>Nobody has signed in. Readings are taken without a name; nothing is signed.</p>
      {/if}
      <form method="POST" action="?/signin" class="mt-3 space-y-3">
        <input type="hidden" name="back" value={data.back} />
        <label class="block"
          ><span class="label-caps">Name</span><select class="select w-full" name="person"
            >{#each data.people as p (p.id)}<option value={p.id}>{p.name}</option>{/each}</select
          ></label
        >
        <label class="block"
          ><span class="label-caps">PIN</span><input
            class="input w-full"
            type="password"
            inputmode="numeric"
            name="pin"
            autocomplete="off"
            maxlength="12"
            required
          /></label
        >
        {#if form?.about === 'signin' && form.message}<p class="font-medium text-error" role="alert">
            {form.message}
          </p>{/if}
        <button class="btn btn-primary w-full">Sign in</button>
      </form>
      <form method="POST" action="?/close" class="mt-3">
        <button class="btn btn-outline btn-primary">Close this device</button>
      </form>
    </section>
    <section class="panel p-4" aria-labelledby="all">
      <h2 id="all">Who works here</h2>
      <ul class="mt-1">
        {#each data.people as p (p.id)}
          <li class="flex flex-wrap items-center justify-between gap-2 border-t border-line py-1">
            <span class="min-w-0 break-words" dir="auto">{p.name} <span class="text-sm">· {p.role}</span></span>
            {#if may}<form method="POST" action="?/remove">
                <input type="hidden" name="person" value={p.id} /><button class="plain-link tap text-sm"
                  >Leaves<span class="sr-only"> : {p.name}</span></button
                >
              </form>{/if}
          </li>
        {/each}
      </ul>
      {#if form?.about === 'remove' && form.message}<p class="font-medium text-error" role="alert">
          {form.message}
        </p>{/if}
      {#if may}
        <h3 class="mt-4">Add somebody</h3>
        <form method="POST" action="?/add" class="space-y-3" aria-label="Add somebody">
          <label class="block"
            ><span class="label-caps">Name</span><input
              class="input w-full"
              name="name"
              value={form?.about === 'add' && 'name' in form ? form.name : ''}
              maxlength="80"
              required
            /></label
          >
          <fieldset>
            <legend class="label-caps">May</legend>
            {#each Object.keys(data.roles) as role (role)}
              <label class="tap flex w-full gap-2"
                ><input class="radio radio-primary" type="radio" name="role" value={role} required />
                <span><strong>{role}</strong>: {means[role as keyof typeof means]}</span></label
              >
            {/each}
          </fieldset>
          <label class="block"
            ><span class="label-caps">PIN, 4 to 12 digits</span><input
              class="input w-full"
              type="password"
              inputmode="numeric"
              name="pin"
              autocomplete="new-password"
              maxlength="12"
              required
            /></label
          >
          {#if form?.about === 'add' && form.message}<p class="font-medium text-error" role="alert">
              {form.message}
            </p>{:else if form?.about === 'add' && 'added' in form}<p role="status">{form.added} is added.</p>{/if}
          <button class="btn btn-primary">Add</button>
        </form>
        <form
          method="POST"
          action="?/passphrase"
          class="mt-5 space-y-3 border-t border-line pt-3"
          aria-label="Passphrase"
        >
          <label class="block"
            ><span class="label-caps">A new passphrase: every device is closed by it</span><input
              class="input w-full"
              type="password"
              name="passphrase"
              autocomplete="new-password"
              maxlength="400"
              required
            /></label
          >
          {#if form?.about === 'passphrase'}<p
              role={form.message ? 'alert' : 'status'}
              class={form.message ? 'font-medium text-error' : ''}
            >
              {form.message ?? 'It is changed; the other devices ask for the new one.'}
            </p>{/if}
          <button class="btn btn-outline btn-primary">Change it</button>
        </form>
      {:else}<p class="mt-2 text-sm">A technician adds people.</p>{/if}
    </section>
  </div>
{/if}
