<script lang="ts">
  import { sumIds, sums } from '$core/sums/index.ts';

  const pages = [
    ['/reference/mixture', 'Mixture', 'New mix, correcting a tank, and the cup at hand.'],
    ...sumIds.map((id) => [`/reference/${id}`, sums[id].title, sums[id].about] as const),
    [
      '/reference/knowledge',
      'What can be wrong',
      'Every suspect: how it shows, what settles it, what cures it; with your own strengths.'
    ],
    ['/reference/procedures', 'Procedures', 'Work step by step, from the first bolt to its proof.'],
    ['/reference/house-rules', 'House rules', 'Where good technicians differ: one choice each, with its reason.'],
    ['/reference/instruments', 'Instruments', 'Gauges and testers, entered once and picked at the engine.'],
    [
      '/instruments',
      'Stand-in instruments',
      'A lever, a throttle, a valve and needles that send their readings: try it without a device.'
    ],
    ['/reference/sources', 'Sources', 'Every limit and constant, and whether it is published, practice or from memory.']
  ];
</script>

<svelte:head><title>Reference · Indaga</title></svelte:head>
<h1>Reference</h1>
<ul class="mt-3 grid gap-3 sm:grid-cols-2">
  {#each pages as [href, title, says] (href)}
    <li>
      <a {href} class="panel block p-4 hover:border-primary"
        ><h2>{title}</h2>
        <p>{says}</p></a
      >
    </li>
  {/each}
</ul>
