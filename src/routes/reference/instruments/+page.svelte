<script lang="ts">
  import { plugThreads, threads } from '$core/engine/plug-threads.ts';
  import { say } from '$core/units/index.ts';

  let { data, form } = $props();
  const units = $derived(data.prefs.units);
  const fields = [
    ['name', 'Name', 'Shop gauge, screw-in'],
    ['range', 'Range', '300 psi'],
    ['accuracy', 'Accuracy, of full scale', '2 %'],
    ['resolution', 'Smallest division', '1 psi'],
    ['adapterVolume', 'Volume before the check valve', '8 mL'],
    ['gaugeVolume', 'Volume behind the check valve', '6 mL'],
    ['restrictor', 'Leak-down: restrictor hole', '1.02 mm'],
    ['supply', 'Leak-down: supply pressure', '80 psi'],
    ['reach', 'Adapter reaches into the plug hole', '19 mm']
  ] as const;
  const errors = $derived((form?.errors ?? {}) as Record<string, string>);
  const typed = $derived((form?.typed ?? {}) as Record<string, string>);
</script>

<svelte:head><title>Instruments · Reference · Indaga</title></svelte:head>
<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<h1>Instruments</h1>
<p>
  Only the volume between chamber and check valve lowers a compression reading, so where the valve sits is asked here.
  The volume behind it only slows the needle.
</p>
<ul class="mt-3 space-y-2">
  {#each data.instruments as { id, instrument: i } (id)}
    <li class="panel flex flex-wrap items-center justify-between gap-3 p-3">
      <div>
        <h2>{i.name}</h2>
        <p class="text-sm">
          {[
            i.range && `0 to ${say(i.range, 'pressure', units)}`,
            i.accuracy !== undefined && `±${say(i.accuracy, 'share', units)} of full scale`,
            i.resolution && `divisions of ${say(i.resolution, 'pressure', units, i.resolution)}`,
            i.adapterVolume !== undefined && `${say(i.adapterVolume, 'volume', units)} before the valve`,
            i.thread && `${threads[i.thread]} adapter`,
            i.reach !== undefined && `${say(i.reach, 'length', units)} reach`,
            i.gaugeVolume !== undefined && `${say(i.gaugeVolume, 'volume', units)} behind it`,
            i.restrictor !== undefined
              ? `leak-down through ${say(i.restrictor, 'length', units)} at ${i.supply ? say(i.supply, 'pressure', units) : 'unknown pressure'}`
              : `valve at the ${i.valve ?? 'unknown'}`
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <form method="POST" action="?/retire">
        <input type="hidden" name="id" value={id} /><button class="btn btn-outline btn-primary"
          >Take off the list</button
        >
      </form>
    </li>
  {:else}<li>No instrument yet. Readings are then judged as from an ordinary 0–300 psi gauge.</li>{/each}
</ul>
<form method="POST" action="?/add" class="panel mt-4 p-4" novalidate>
  <h2>Add a gauge or a tester</h2>
  <p class="text-sm">A leak-down tester has a restrictor; a compression gauge has none.</p>
  <div class="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
    {#each fields as [key, label, hint] (key)}
      <div>
        <label
          ><span class="label-caps">{label}</span><input
            class="input w-full"
            name={key}
            value={typed[key] ?? ''}
            placeholder={hint}
            maxlength="120"
            aria-invalid={errors[key] ? 'true' : undefined}
          /></label
        >{#if errors[key]}<p class="font-medium text-error" role="alert">{errors[key]}</p>{/if}
      </div>
    {/each}
    <label
      ><span class="label-caps">Check valve sits</span><select class="select w-full" name="valve"
        ><option value="unknown">unknown</option><option value="plug end">at the plug end</option><option
          value="gauge end">at the gauge end</option
        ></select
      ></label
    >
    <label
      ><span class="label-caps">Adapter’s thread</span><select class="select w-full" name="thread"
        ><option value="">unknown</option>{#each plugThreads as t (t.value)}<option value={t.value}>{t.label}</option
          >{/each}</select
      ></label
    >
  </div>
  <button class="btn btn-primary mt-3">Add it</button>
</form>
