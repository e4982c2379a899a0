<script lang="ts">
  let { data } = $props();
  const code = $derived(`data:image/svg+xml;utf8,${encodeURIComponent(data.code)}`);
</script>

<svelte:head><title>Tag · {data.tag} · Indaga</title></svelte:head>

<div class="no-print mb-3 flex flex-wrap items-center gap-3">
  <h1>Tag of {data.tag}</h1>
  <button type="button" class="btn btn-primary" onclick={() => window.print()}>Print</button>
</div>
<section
  class="grid max-w-xl grid-cols-[auto_1fr] items-center gap-5 border-[3px] border-current bg-white p-5 text-black"
  aria-label="Tag"
>
  <img src={code} alt="Square code that opens {data.address}" width="190" height="190" class="h-[190px] w-[190px]" />
  <div class="min-w-0">
    <p class="font-label text-5xl font-semibold break-words">{data.tag}</p>
    <p class="mt-2 text-lg">{data.name}</p>
    <p class="text-lg">{data.serial ? `serial ${data.serial}` : ''}</p>
    <p class="text-lg" dir="auto">{data.owner}</p>
  </div>
</section>
<p class="no-print mt-3 text-sm break-all">
  Opens {data.address}. Print it from the address the phones of the shop use: the code holds this one.
</p>
