<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import { adapterFit } from '$core/stations/compression/adapter-fit.ts';
  import { absolute } from '$core/stations/compression/absolute.ts';
  import { compare, compareAll } from '$core/stations/compression/compare.ts';
  import { expectedRange } from '$core/stations/compression/expected.ts';
  import { singleRepeat } from '$core/stations/compression/repeat.ts';
  import type { ReferenceTest } from '$core/stations/compression/reference.ts';
  import type { Conditions, Instrument } from '$core/record/reading.ts';
  import { type Snippet } from 'svelte';
  import { instrumentsWanted } from '../instruments/wanted.svelte.ts';
  import Beside from './compression/Beside.svelte';
  import Entry from './compression/Entry.svelte';
  import { nextAtGauge } from './compression/next.ts';
  import Fold from '../marks/Fold.svelte';
  import WhenSeen from '../marks/WhenSeen.svelte';
  import CompressionBars from '../survey/CompressionBars.svelte';
  import { LeakFitting } from '../session/leak-fit.svelte.ts';
  import LimitLine from '../survey/LimitLine.svelte';
  import { useSession } from '../session/session.svelte.ts';

  /** The compression check: what was read, what it can tell, and what would tell more. */
  interface Props {
    conditions: Conditions;
    instrument: Instrument | undefined;
    testers: readonly { id: string; instrument: Instrument }[];
    references: readonly ReferenceTest[];
    settings: Snippet;
    quick: Snippet;
    strip: Snippet;
    fitting: LeakFitting;
  }
  let { conditions, instrument, testers, references, settings, quick, strip, fitting }: Props = $props();
  const session = useSession();
  /** In use it stands where the eye is; else after what is typed. */
  const c = $derived(session.judgement.context);
  const cylinders = $derived(
    Array.from({ length: cylinderCount(session.survey.engine.profile) ?? 1 }, (_, k) => k + 1)
  );
  const comparison = $derived(compare(c));
  /** With the readings that say nothing, where there are no others. */
  const tests = $derived(compareAll(c));
  /** What the adapter alone takes away, where its volume counts and the engine's is known. */
  const without = $derived(comparison ? absolute(c, comparison).adapter : undefined);
  /** Said before the gauge is screwed in. */
  const fit = $derived(adapterFit(instrument, session.survey.engine.card, session.units));
  const expected = $derived(expectedRange(c));
  const held = $derived(refusal(session.judgement.holds, 'compression.pressure') !== undefined);
  /** What a low piston would have looked like to the gauge: why a good reading would not clear it either. */
  const bent = $derived(session.judgement.findings.find((f) => f.id.startsWith('turn.depth-compression')));
  const next = $derived(
    held
      ? {
          sentence: 'Nothing is cranked while this hold stands.',
          because: bent?.sentence ?? 'What lifts it is named above.'
        }
      : tests
        ? nextAtGauge(singleRepeat(c, tests), session.moves, c.units)
        : {
            sentence: 'Read every cylinder, in one order and then in reverse.',
            because: 'Cylinders are compared with each other first.'
          }
  );
  const four = $derived(session.survey.engine.profile.strokes !== 'two');
  const leaked = $derived(session.record.all('compression.leakdown').length > 0);
  const pulled = $derived(comparison?.rows.some((r) => r.series.length) ?? false);
</script>

{@render settings()}
{#each fit as f (f.kind)}
  <p
    class="mt-1 border-l-4 py-1 pl-3 text-sm font-medium {f.breaks ? 'border-hold text-hold' : 'border-warning'}"
    role={f.breaks ? 'alert' : undefined}
  >
    {f.said}
  </p>
{/each}
{#if instrumentsWanted.on}{@render strip()}{/if}
<Entry {conditions} {instrument} />
<section
  class="mt-2 min-h-[4.25rem] border-l-4 border-primary bg-base-200 px-3 py-1.5"
  aria-live="polite"
  aria-label="What would settle most"
>
  <p class="leading-snug font-semibold">{next.sentence}</p>
  <p class="text-sm">{next.because}</p>
</section>
{@render quick()}
<div class="mt-3">
  <CompressionBars {comparison} {without} {expected} {cylinders} units={session.units} />
</div>
{#if !instrumentsWanted.on}{@render strip()}{/if}
{#if comparison}
  <Beside {comparison} {fitting} {references} />
  {#if pulled}
    <WhenSeen height="20rem">
      {#await import('./compression/PullCurves.svelte')}
        <div class="min-h-80"></div>
      {:then { default: PullCurves }}
        <PullCurves {comparison} fit={fitting.fit} units={session.units} />
      {/await}
    </WhenSeen>
  {/if}
{/if}
<Fold large lazy title="Leak-down{four ? ' and valve lash' : ''}" note="where air is available" open={leaked}>
  <WhenSeen height="10rem">
    {#await import('./compression/LeakDown.svelte')}
      <p class="min-h-40" role="status">Fetching the fields…</p>
    {:then { default: LeakDown }}
      <LeakDown {testers} {fitting} />
    {/await}
  </WhenSeen>
</Fold>
<div class="mt-3">
  <LimitLine id="compression.figure" />
  <LimitLine id="compression.spread" />
</div>
