<script lang="ts">
  import { page } from '$app/state';
  import { replaceState } from '$app/navigation';
  import { correctTank, oilFor, pourWithCup, ratioMade } from '$core/physics/premix.ts';
  import { parseQuantity, say, type DimensionName } from '$core/units/index.ts';
  import { untrack } from 'svelte';

  let { data } = $props();
  const units = $derived(data.prefs.units);
  const q = page.url.searchParams;
  const standard = untrack(() =>
    data.prefs.units === 'us' ? { fuel: '3 gal', cup: '0.5 oz' } : { fuel: '10 L', cup: '25 mL' }
  );
  let ratio = $state(q.get('ratio') ?? '50:1');
  let fuel = $state(q.get('fuel') ?? standard.fuel);
  let cup = $state(q.get('cup') ?? standard.cup);
  let there = $state(q.get('there') ?? '');
  let now = $state(q.get('now') ?? '');
  let poured = $state(q.get('poured') ?? '');

  function link(): void {
    const search = new URLSearchParams(Object.entries({ ratio, fuel, cup, there, now, poured }).filter(([, v]) => v));
    replaceState(`?${search}`, {});
  }

  const read = (text: string, name: DimensionName) => {
    const p = parseQuantity(text, name, units);
    return p.ok && !(p.si > 0) ? { ok: false as const, message: 'This has to be above zero.', at: 0 } : p;
  };
  const r = $derived(read(ratio, 'mixture'));
  const f = $derived(read(fuel, 'tank'));
  const c = $derived(read(cup, 'volume'));
  const t = $derived(there.trim() ? read(there, 'tank') : undefined);
  const n = $derived(now.trim() ? read(now, 'mixture') : undefined);
  const p = $derived(poured.trim() ? read(poured, 'volume') : undefined);
  const fine = $derived(units === 'us' ? 3e-6 : 1e-6);
  const pour = $derived(r.ok && f.ok && c.ok ? pourWithCup(f.si, r.si, c.si) : undefined);
  const made = $derived(f.ok && p?.ok ? ratioMade(f.si, p.si) : undefined);
  const fix = $derived(r.ok && f.ok && t?.ok ? correctTank(t.si, n?.ok ? n.si : Infinity, f.si, r.si) : undefined);
</script>

<svelte:head><title>Mixture · Reference · Indaga</title></svelte:head>

{#snippet entry(
  id: string,
  label: string,
  value: string,
  set: (v: string) => void,
  result: { ok: boolean; message?: string } | undefined,
  hint: string
)}
  <div>
    <label class="label-caps mb-1 block" for={id}>{label}</label>
    <input
      {id}
      class="input w-full"
      {value}
      placeholder={hint}
      autocomplete="off"
      oninput={(e) => {
        set(e.currentTarget.value);
        link();
      }}
      aria-invalid={result && !result.ok ? 'true' : undefined}
      aria-describedby="{id}-error"
    />
    <p id="{id}-error" class="min-h-6 text-sm font-medium text-error">{result && !result.ok ? result.message : ''}</p>
  </div>
{/snippet}

<p class="mb-1"><a class="plain-link tap" href="/reference">Reference</a></p>
<h1>Mixture</h1>
<p>Fuel to oil by volume. Cups round up: more oil smokes, less oil seizes. The engine’s own ratio is in its manual.</p>
<div class="mt-3 grid gap-5 md:grid-cols-2">
  <section class="panel p-4">
    <h2 class="mb-2">A new mix</h2>
    {@render entry('ratio', 'Ratio', ratio, (v) => (ratio = v), r, '50:1')}
    {@render entry('fuel', 'Fresh fuel', fuel, (v) => (fuel = v), f, '10 L')}
    {@render entry('cup', 'Smallest mark on the cup', cup, (v) => (cup = v), c, '25 mL')}
    <div aria-live="polite" class="min-h-28 border-t border-line pt-2">
      {#if pour && r.ok && f.ok}
        <p class="sounding text-3xl">{say(pour.oil, 'volume', units, fine)}</p>
        <p>
          of oil. Exactly it would be {say(oilFor(f.si, r.si), 'volume', units, fine)}; your cup makes it {pour.ratio.toFixed(
            1
          )}:1, {pour.error < 0.0005 ? 'right on' : `${(100 * pour.error).toFixed(1)} % more oil, the safe side`}.
        </p>
      {/if}
    </div>
    {@render entry('poured', 'Or: what was poured into that fuel', poured, (v) => (poured = v), p, '100 mL')}
    <p aria-live="polite" class="min-h-12">
      {#if made && r.ok}That makes <strong>{made.toFixed(1)}:1</strong>: {made > r.si * 1.02
          ? 'too little oil; add some before it runs.'
          : made < r.si * 0.98
            ? 'more oil than asked, the safe side.'
            : 'as asked.'}{/if}
    </p>
  </section>
  <section class="panel p-4">
    <h2 class="mb-2">Correct a tank</h2>
    <p class="mb-2 text-sm">What is in the tank already, and the fresh fuel from the left added to it.</p>
    {@render entry('there', 'In the tank now', there, (v) => (there = v), t, '6 L')}
    {@render entry('now', 'Mixed at (empty: no oil in it)', now, (v) => (now = v), n, '100:1')}
    <div aria-live="polite" class="min-h-24 border-t border-line pt-2">
      {#if fix && r.ok}
        {#if fix.moreFuel > 0}<p class="sounding text-3xl">no oil</p>
          <p>
            There is enough for {r.si.toFixed(0)}:1 and more; {say(fix.moreFuel, 'tank', units, 1e-5)} of plain fuel besides
            would bring it there.
          </p>
        {:else}<p class="sounding text-3xl">{say(fix.oil, 'volume', units, fine)}</p>
          <p>
            of oil makes the whole tank {r.si.toFixed(0)}:1. If nobody knows what is in it, count it as no oil: the
            error is then on the safe side.
          </p>{/if}
      {/if}
    </div>
  </section>
</div>
<p class="mt-4 text-sm">
  Formula: oil = fuel / ratio; for a tank, oil = (fuel in it + fresh fuel) / ratio − oil in it. Arithmetic, no practice
  in it. Old fuel is not corrected, it is drained.
</p>
