<script lang="ts">
  import { limits } from '$core/engine/limits.ts';
  import { constants } from '$core/sources/index.ts';

  const words = { P: 'published', C: 'common practice', M: 'from memory' } as const;
</script>

<svelte:head><title>Sources · Reference · Indaga</title></svelte:head>
<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<h1>Sources</h1>
<p>Published figures are named; common practice and memory are called so. The maker’s manual wins over all of them.</p>
<h2 class="mt-4">Limits</h2>
<ul>
  {#each Object.values(limits) as l (l.label)}<li class="border-b border-line py-1.5">
      <strong>{l.label}</strong> <span class="label-caps">{words[l.provenance]}</span><br />{l.source}
    </li>{/each}
</ul>
<h2 class="mt-4">Constants and laws</h2>
<ul>
  {#each constants as c (c.name)}<li class="border-b border-line py-1.5">
      <strong>{c.name}</strong>: {c.value} <span class="label-caps">{words[c.provenance]}</span><br />{c.source}
    </li>{/each}
</ul>
