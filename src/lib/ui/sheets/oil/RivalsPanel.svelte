<script lang="ts">
  import { freshOil, rivals } from '$core/stations/oil/rivals.ts';
  import { weightWords } from '$core/stations/oil/rival-words.ts';
  import { useSession } from '../../session/session.svelte.ts';
  import StationFields from '../../survey/StationFields.svelte';

  /** Above the mark: what speaks for fuel in the oil and what for too much of it, as bars to either side. */
  const session = useSession();
  const c = $derived(session.judgement.context);
  const r = $derived(rivals(c));
  const width = (ratio: number): number => Math.min(46, (Math.abs(Math.log(ratio)) / Math.log(10)) * 46);
  const says = $derived(
    r.verdict === 'cannot-tell'
      ? 'Cannot tell yet.'
      : r.verdict === 'diluted'
        ? 'Fuel in the oil, rather than overfilled.'
        : 'Overfilled, rather than fuel in the oil.'
  );
</script>

<StationFields
  station="oil"
  only={['smell', 'lastFill', 'lastFillMost', 'lastMark', 'drained', 'viscosity', 'viscosityFresh']}
/>
<div class="panel mt-3 p-3" aria-live="polite">
  <p class="flex justify-between text-sm"><span>overfilled</span><span>diluted by fuel</span></p>
  {#each r.weights as w (w.id)}
    <div class="mt-1">
      <div class="relative h-4 bg-base-100" aria-hidden="true">
        <div class="absolute inset-y-0 left-1/2 w-px bg-base-content"></div>
        <div
          class="absolute inset-y-0 bg-primary"
          style:width="{width(w.ratio)}%"
          style:left={w.ratio > 1 ? '50%' : `${50 - width(w.ratio)}%`}
        ></div>
      </div>
      <p class="text-sm">{weightWords[w.id]}: {w.ratio > 1 ? 'for dilution' : 'for overfilling'}</p>
    </div>
  {:else}<p class="mt-1">
      Nothing weighs yet: smell it, see how it runs off the stick, find out what was poured in.
    </p>{/each}
  <p class="mt-2 text-lg font-semibold">{says}</p>
  {#if r.share !== undefined}<p class="text-sm">
      If all that stands over the mark is fuel: {(100 * r.share).toFixed(1)} % by volume, {r.viscosity!.toFixed(1)} mm²/s
      at 100 °C where clean oil has {freshOil(c).toFixed(1)}.
    </p>{/if}
</div>
