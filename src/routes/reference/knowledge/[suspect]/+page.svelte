<script lang="ts">
  import { strengthNames, strengths } from '$core/diagnosis/knowledge/shape.ts';

  let { data, form } = $props();
  const s = $derived(data.suspect);
  const spoken = $derived(s.label.charAt(0).toUpperCase() + s.label.slice(1));
  const percent = (p: number): string => `${+(100 * p).toFixed(1)} %`;
  const nameOf = (own: number | undefined): string =>
    own === undefined
      ? 'ours'
      : own === 0
        ? 'never'
        : own === 1
          ? 'certain'
          : (strengthNames.find((n) => strengths[n] === own) ?? 'ours');
  const kinds = [
    ['L', 'long stored'],
    ['D', 'drowned'],
    ['N', 'neglected'],
    ['S', 'spring return']
  ] as const;
</script>

<svelte:head><title>{spoken} · What can be wrong · Indaga</title></svelte:head>
<p class="mb-1">
  <a class="plain-link tap" href="/reference">Reference</a> ·
  <a class="plain-link tap" href="/reference/knowledge">What can be wrong</a>
</p>
<h1>{spoken}</h1>
<p class="text-lg">{s.system}{s.artefact ? '; a wrong measurement, not a fault' : ''}. {s.cure}</p>
<div class="mt-4 grid gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <form method="POST" class="panel space-y-3 p-4">
    {#if form?.saved}<p class="font-semibold text-success" role="status">
        Saved. Advice follows from now on; signed records keep theirs.
      </p>{/if}
    <h2>How it shows</h2>
    <p class="text-sm">
      Strength: how often it shows when this is what is wrong. Ours are {s.provenance === 'M'
        ? 'estimates, from memory'
        : s.provenance === 'C'
          ? 'common practice'
          : 'published'}; “never” cuts the link, “without exception” is kept as 99.9 %.
    </p>
    <div>
      {#each data.links as l (l.sign)}
        <label
          class="grid items-center gap-x-4 gap-y-1 border-t border-line py-1.5 first:border-t-0 sm:grid-cols-[1fr_15rem]"
        >
          <span>{l.says}</span>
          <select class="select w-full" name="sign.{l.sign}" value={nameOf(l.own)}>
            <option value="ours">{l.strength}, {percent(strengths[l.strength])} (ours)</option>
            {#each strengthNames.filter((n) => n !== l.strength) as n (n)}<option value={n}
                >{n}, {percent(strengths[n])}</option
              >{/each}
            <option value="never">never</option>
            <option value="certain">without exception</option>
          </select>
        </label>
      {/each}
    </div>
    <label class="block max-w-64"
      ><span class="label-caps">In your yard before any look, of a hundred</span><input
        class="input w-full"
        name="prior"
        inputmode="decimal"
        value={form && !form.saved ? form.typed : data.ownPrior === undefined ? '' : percent(data.ownPrior)}
        placeholder="ours, by kind of case"
        aria-invalid={form?.message ? 'true' : undefined}
      /></label
    >
    {#if form?.message}<p class="font-medium text-error" role="alert">{form.message}</p>{/if}
    <button class="btn btn-primary">Save</button>
  </form>
  <aside class="panel p-4">
    <dl class="space-y-2">
      <div>
        <dt class="label-caps">Settled by</dt>
        <dd>{s.settled}</dd>
      </div>
      <div>
        <dt class="label-caps">Before any look, ours</dt>
        <dd>
          {#each kinds as [k, label], n (k)}{n ? ', ' : ''}{label} {percent(s.prior[k])}{/each}; more with years{s.artefact
            ? ''
            : ' and salt'}.
        </dd>
      </div>
      {#if !s.artefact}
        <div>
          <dt class="label-caps">Left in</dt>
          <dd>{s.stake}{s.specialist ? '; work for a specialist' : ''}</dd>
        </div>
        <div>
          <dt class="label-caps">Cure, at 15 kW, invented for the demo</dt>
          <dd>{s.parts[0]} to {s.parts[2]} cr of parts, {s.minutes[0]} to {s.minutes[2]} minutes</dd>
        </div>
      {/if}
    </dl>
  </aside>
</div>
