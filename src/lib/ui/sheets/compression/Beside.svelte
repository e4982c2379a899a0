<script lang="ts">
  import { PSI } from '$core/units/factors.ts';
  import type { Comparison } from '$core/stations/compression/compare.ts';
  import { compressionFigures } from '$core/stations/compression/figures.ts';
  import { notIdentifiable, sayFigure, sayUnlike } from '$core/stations/compression/sheet-words.ts';
  import { againstReference, type ReferenceTest } from '$core/stations/compression/reference.ts';
  import { say } from '$core/units/index.ts';
  import type { LeakFitting } from '../../session/leak-fit.svelte.ts';
  import { useSession } from '../../session/session.svelte.ts';

  /** What the readings come to: the leak, the figures, and other times. */
  let {
    comparison,
    fitting,
    references
  }: { comparison: Comparison; fitting: LeakFitting; references: readonly ReferenceTest[] } = $props();
  const session = useSession();
  const figures = $derived(compressionFigures(session.judgement.context));
  const others = $derived(references.map((r) => againstReference(comparison, r)));
  const p = (pa: number): string => say(pa, 'pressure', session.units, comparison.instrument.resolution ?? PSI);
  const mm = (m: number): string => (m * 1000).toFixed(1);
  const reach = $derived(fitting.fit ? Math.max(0.5e-3, ...fitting.fit.rows.map((r) => r.high)) * 1.1 : 1);
</script>

<section class="panel mt-3 p-3" aria-labelledby="leak-title">
  <h3 id="leak-title" class="text-xl">Leak beyond the best cylinder</h3>
  <div class="min-h-16" aria-live="polite">
    {#if fitting.task && !fitting.task.ok}
      <p>{notIdentifiable[fitting.task.because]}</p>
    {:else if fitting.state === 'failed'}
      <p>The fit could not be made in this browser. The readings and the judgement beside them stand without it.</p>
    {:else if fitting.fit}
      <ol class="mt-1 {fitting.state === 'working' ? 'opacity-70' : ''}">
        <li class="py-1 text-sm">
          Cylinder {fitting.fit.best} is the best and counts as tight; a leak common to all would not show.
        </li>
        {#each fitting.fit.rows as r (r.cylinder)}
          <li class="grid grid-cols-[4.2rem_minmax(0,1fr)_11.5rem] items-center gap-2 py-1">
            <span>Cyl. <span class="sounding text-lg">{r.cylinder}</span></span>
            <span class="relative h-4 border-b border-line" aria-hidden="true">
              <span
                class="absolute top-1.5 h-1.5 {r.low > 0 ? 'bg-warning' : 'bg-base-300'}"
                style:left="{(100 * r.low) / reach}%"
                style:width="{(100 * (r.high - r.low)) / reach}%"
              ></span>
              {#if r.low > 0}<span
                  class="absolute top-0 h-4 w-0.5 bg-base-content"
                  style:left="{(100 * r.hole) / reach}%"
                ></span>{/if}
            </span>
            <span class="text-sm"
              >{#if r.low > 0}<strong class="sounding text-lg">{mm(r.hole)}</strong> mm ({mm(r.low)}–{mm(
                  r.high
                )}){:else}none told, under {mm(r.high)} mm{/if}{r.fits ? '' : ' · builds oddly'}</span
            >
          </li>
        {/each}
      </ol>
      <p class="text-sm">
        As a round hole, 95 % interval. Its width is mostly the unknown cranking speed, ratio and heat loss.
      </p>
    {:else if fitting.state === 'working'}
      <p class="flex items-center gap-3">
        Fitting the model … <button type="button" class="btn btn-outline btn-primary" onclick={() => fitting.stop()}
          >Stop</button
        >
      </p>
    {:else}<p>Nothing to fit yet.</p>{/if}
  </div>
</section>

{#if figures.length}
  <dl class="mt-3 grid gap-x-4 gap-y-1 text-sm sm:grid-cols-[auto_1fr]">
    {#each figures as f (`${f.id}${'cylinder' in f ? f.cylinder : ''}`)}
      {@const said = sayFigure(f, comparison, session.units)}
      <dt class="label-caps">{said.label}{'cylinder' in f ? `, cylinder ${f.cylinder}` : ''}</dt>
      <dd>{said.says}</dd>
    {/each}
  </dl>
{/if}
{#each others as o (o.label)}
  <p class="mt-2 text-sm">
    <span class="label-caps">Beside the {o.label}</span>
    {#if o.unlike.length}not comparable: {sayUnlike(o.unlike)}.{:else if !o.rows.length}no cylinder was read both times.{:else}
      {#each o.rows as r, k (r.cylinder)}{k ? '; ' : ''}cylinder {r.cylinder}: {p(r.then)} then, {p(r.now)} now{r.real
          ? ''
          : ' (no change that can be told)'}{/each}.{/if}
  </p>
{/each}
