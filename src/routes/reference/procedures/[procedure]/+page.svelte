<script lang="ts">
  import HazardLines from '$lib/ui/marks/HazardLines.svelte';
  import TurnArrow from '$lib/ui/marks/TurnArrow.svelte';

  let { data } = $props();
</script>

<svelte:head><title>{data.title} · Procedures · Indaga</title></svelte:head>

<p class="no-print mb-1"><a class="plain-link tap" href="/reference/procedures">Procedures</a></p>
<h1>{data.title}</h1>
<p>{data.means} {data.minutes} min of hands{data.waiting ? `, ${data.waiting} min of waiting` : ''}.</p>
{#if data.kinds.length > 1}
  <nav class="no-print mt-2 flex gap-2" aria-label="Kind of engine">
    {#each data.kinds as k (k.id)}<a
        class="btn btn-outline btn-primary {k.here ? 'btn-active' : ''}"
        href="?of={k.id}"
        aria-current={k.here ? 'true' : undefined}>{k.says}</a
      >{/each}
  </nav>
{/if}
<div class="mt-3"><HazardLines ids={data.hazards} /></div>
<dl class="mt-3 grid gap-3 sm:grid-cols-2">
  <div>
    <dt class="label-caps">Tools</dt>
    <dd>{data.bench.tools.join(', ')}</dd>
  </div>
  {#if data.bench.parts.length}<div>
      <dt class="label-caps">Parts</dt>
      <dd>{data.bench.parts.join(', ')}</dd>
    </div>{/if}
  <div>
    <dt class="label-caps">What goes wrong with it</dt>
    <dd>
      <ul class="list-disc pl-5">
        {#each data.wrong as w (w)}<li>{w}</li>{/each}
      </ul>
    </dd>
  </div>
  <div>
    <dt class="label-caps">What proves it</dt>
    <dd>{data.proof}.</dd>
    <dt class="mt-2 label-caps">Who takes over</dt>
    <dd>{data.handOver}</dd>
  </div>
</dl>
<ol class="mt-4 max-w-4xl border-t border-line">
  {#each data.steps as s, k (s.id)}
    <li class="grid grid-cols-[2.4rem_1fr] border-b border-line py-3">
      <span class="sounding text-2xl leading-7">{k + 1}</span>
      <div class="min-w-0">
        {#if s.careful.length}<HazardLines ids={s.careful} brief footer={false} label="Hazards of step {k + 1}" />{/if}
        <p class="text-lg leading-snug">{s.text}</p>
        {#if s.because}<p class="text-sm">{s.because}</p>{/if}
        {#if s.turns}<TurnArrow turns={s.turns} />{/if}
        {#each s.figures as f (f)}<p class="mt-1">{f}</p>{/each}
        {#if s.off.length}<p class="mt-1 text-sm"><span class="label-caps">Off</span> {s.off.join(' → ')}</p>{/if}
        {#if s.on.length}<p class="mt-1 text-sm"><span class="label-caps">On</span> {s.on.join(' → ')}</p>{/if}
        {#if s.renew.length}<p class="mt-1 text-sm"><span class="label-caps">New</span> {s.renew.join(', ')}</p>{/if}
        {#if s.wait}<p class="mt-1 text-sm"><span class="label-caps">Waits</span> {Math.round(s.wait)} min</p>{/if}
        {#each s.branch as b (b.seen)}<p class="mt-1 text-sm">
            <strong>{b.seen}:</strong>
            {b.then}{b.job ? ` (${b.job})` : ''}
          </p>{/each}
      </div>
    </li>
  {/each}
</ol>
