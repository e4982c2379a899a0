<script lang="ts">
  import { allItems } from '$core/stations/items.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import { leakDownRows } from '$core/stations/compression/leakdown-rows.ts';
  import type { Instrument } from '$core/record/reading.ts';
  import type { Item } from '$core/items/item.ts';
  import { say } from '$core/units/index.ts';
  import SeveralInput from '../../form/SeveralInput.svelte';
  import type { LeakFitting } from '../../session/leak-fit.svelte.ts';
  import CylinderTable from '../../survey/CylinderTable.svelte';
  import LimitLine from '../../survey/LimitLine.svelte';
  import { useSession } from '../../session/session.svelte.ts';

  /** Leak-down by its instrument, where the air comes out, and valve lash; beside what cranking said of the same cylinder. */
  let { testers, fitting }: { testers: readonly { id: string; instrument: Instrument }[]; fitting: LeakFitting } =
    $props();
  const session = useSession();
  const item = allItems['compression.escape'] as Extract<Item, { kind: 'several' }>;
  const cylinders = $derived(
    Array.from({ length: cylinderCount(session.survey.engine.profile) ?? 1 }, (_, k) => k + 1)
  );
  let picked = $state<string>();
  const testerId = $derived(picked ?? testers[0]?.id ?? '');
  const tester = $derived(testers.find((t) => t.id === testerId)?.instrument);
  const rows = $derived(leakDownRows(session.judgement.context));
  const four = $derived(session.survey.engine.profile.strokes !== 'two');
  /** Where the air comes out is asked of what is not tight. */
  const open = $derived(
    rows.filter((r) => r.share >= 0.09 || session.record.last('compression.escape', r.cylinder)).map((r) => r.cylinder)
  );
  const valued = (v: unknown): string[] | 'unknown' | undefined =>
    Array.isArray(v) || v === 'unknown' ? (v as string[] | 'unknown') : undefined;
</script>

<p class="mb-2 border-l-4 border-hold pl-3 text-sm">
  <strong class="font-semibold text-hold">The piston kicks.</strong> Flywheel locked, hands and plug wrench away from it,
  eye guard on, before air goes in.
</p>
<label class="mb-2 block max-w-md"
  ><span class="label-caps">Tester</span>
  <select class="select w-full" value={testerId} onchange={(e) => (picked = e.currentTarget.value)}>
    {#each testers as t (t.id)}<option value={t.id}>{t.instrument.name}</option>{/each}
    {#if !testers.length}<option value="">published tester: 80 psi through 0.040 in</option>{/if}
  </select></label
>
<CylinderTable what={['compression.leakdown']} caption="Leak-down of each cylinder" instrument={tester} />
{#each rows as r (r.cylinder)}
  {@const cranked = fitting.fit?.rows.find((f) => f.cylinder === r.cylinder)}
  <div class="border-t border-line py-2">
    <p>
      Cylinder {r.cylinder}: <strong class="sounding text-lg">{say(r.share, 'share', session.units)}</strong>, like a
      hole of
      {(r.hole * 1000).toFixed(1)} mm{cranked && cranked.low > 0
        ? `; cranking said ${(cranked.low * 1000).toFixed(1)} to ${(cranked.high * 1000).toFixed(1)} mm beyond the best. Held still near top and turned over are two tests: compare, do not equate.`
        : '.'}
    </p>
  </div>
{/each}
{#each open as c (c)}
  <div class="pb-3">
    <SeveralInput
      item={{ ...item, label: cylinders.length > 1 ? `Air of cylinder ${c} comes out at` : item.label }}
      name="compression.escape.{c}"
      value={valued(session.current('compression.escape', c)?.value)}
      oncommit={(value: unknown, typed: string) => session.read('compression.escape', value, { cylinder: c, typed })}
    />
  </div>
{/each}
<LimitLine id="compression.leakdown" />
{#if session.survey.engine.profile.strokes === 'two'}
  <h3 class="mt-3 text-xl">Crankcase under pressure</h3>
  <p class="mb-2 border-l-4 border-hold pl-3 text-sm">
    Ports shut by plates, plugs in, the manual’s pressure or 0.4 bar by hand; more than 0.7 bar pushes seals out that
    were good.
  </p>
  <CylinderTable what={['compression.crankcase']} caption="Crankcase of each cylinder" />
{/if}
{#if four}
  <h3 class="mt-3 text-xl">Valve lash, cold</h3>
  <CylinderTable what={['compression.lashIn', 'compression.lashEx']} caption="Valve lash of each cylinder" />
  <LimitLine id="compression.lashIn" /><LimitLine id="compression.lashEx" />
{/if}
