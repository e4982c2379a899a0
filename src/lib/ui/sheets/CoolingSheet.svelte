<script lang="ts">
  import QuickFigures from '../survey/QuickFigures.svelte';
  import { bankCount } from '$core/engine/banks.ts';
  import { cylinderCount } from '$core/engine/profile.ts';
  import type { Bank } from '$core/stations/cooling/thermostat.ts';
  import { sources } from '$core/stations/cooling/source.ts';
  import { school, schoolSaid } from '$core/house-rules/rules.ts';
  import Fold from '../marks/Fold.svelte';
  import PhotoSlot from '../photos/PhotoSlot.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import Bucket from './cooling/Bucket.svelte';
  import PumpDrawing from './cooling/PumpDrawing.svelte';
  import type { SheetProps } from './register.ts';

  /** Cooling before it runs: screens, outlet, water; then the pump opened, the pan, the bucket. */
  let { earlier }: SheetProps = $props();
  const session = useSession();
  const touched = (...keys: string[]): boolean =>
    keys.some((k) => session.record.all(`cooling.${k}` as 'cooling.set').length > 0);
  const profile = $derived(session.survey.engine.profile);
  const banks = $derived<readonly (Bank | undefined)[]>(
    bankCount(profile, cylinderCount(profile) ?? 1) === 2 ? ['port', 'starboard'] : [undefined]
  );
  const indicator = $derived(session.survey.engine.profile.indicator !== 'not-fitted');
</script>

<StationFields
  station="cooling"
  only={['screen', 'strainer', ...(indicator ? ['stream', 'outlet'] : []), ...(banks[0] ? [] : ['head'])]}
/>
{#if banks[0]}
  <div class="mt-3 grid gap-x-6 sm:grid-cols-2">
    {#each banks as bank (bank)}
      <section aria-label="Head, {bank} bank">
        <h3 class="mb-1 font-semibold capitalize">{bank} bank</h3>
        <StationFields station="cooling" only={['head']} {...bank ? { conditions: { bank } } : {}} />
      </section>
    {/each}
  </div>
{/if}
<section class="mt-5" aria-label="Water for running">
  <StationFields station="cooling" only={['source']} />
  <table class="mt-2 w-full text-sm">
    <caption class="sr-only">What each source of water allows</caption>
    <thead
      ><tr class="text-left"
        ><th scope="col" class="py-1 pr-3">Water</th><th scope="col" class="py-1 pr-3">Throttle</th><th
          scope="col"
          class="py-1">Mind</th
        ></tr
      ></thead
    >
    <tbody>
      {#each Object.entries(sources).filter(([k]) => k !== 'none') as [key, s] (key)}
        <tr class="border-t border-line {session.record.value('cooling.source') === key ? 'font-semibold' : ''}"
          ><th scope="row" class="py-1 pr-3 text-left font-normal"
            >{key === 'port' ? 'hose port' : key === 'tank' ? 'test tank' : key}</th
          ><td class="py-1 pr-3">{s.throttle}</td><td class="py-1">{s.note}</td></tr
        >
      {/each}
    </tbody>
  </table>
</section>
<h3 class="mt-5 mb-2 text-xl">Pump</h3>
<StationFields station="cooling" only={['impellerAge', 'opened']} />
<Fold
  large
  lazy
  title="Pump opened"
  note="vanes, housing, bush, assembly"
  open={touched('opened', 'set', 'cracked', 'missing', 'housing', 'bush')}
>
  <PumpDrawing />
  <div class="mt-3">
    <StationFields
      station="cooling"
      only={['vanes', 'set', 'cracked', 'missing', 'found', 'housing', 'bush', 'cover', 'tube', 'backward']}
    />
  </div>
  <h4 class="mt-4 mb-1 font-semibold">Back together</h4>
  <ol class="mb-2 list-decimal space-y-0.5 pl-5 text-sm">
    <li>Washers laid out in their order and photographed; checked against the manual, earlier hands may be wrong.</li>
    <li>Key in. Turned in the engine’s direction while it goes into the housing, never the other way.</li>
    <li>
      Grease: {school(session.survey.houseRules ?? {}, 'pumpGrease') === 'film'
        ? 'a film on the vanes, generous in O-ring grooves and splines'
        : 'generous'}; none on the shaft’s end face.
      <span class="opacity-90">({schoolSaid(session.survey.houseRules ?? {}, 'pumpGrease')})</span>
    </li>
    <li>O-rings unpinched, tube into its grommet, shift rod at its mark; shift tried before the bolts are tight.</li>
    <li>Drill test: neutral, leg clamped, hands and sleeves clear, never backward.</li>
  </ol>
  <PhotoSlot what="cooling.washersPhoto" label="Washers and their order" />
  <div class="mt-3 pb-3"><StationFields station="cooling" only={['assembled', 'drill']} /></div>
</Fold>
{#if session.survey.engine.profile.thermostat !== 'not-fitted'}
  <Fold
    large
    lazy
    title="Thermostat in a pan"
    note="opens at its stamp"
    open={touched('thermostatPan', 'thermostatOpens')}
  >
    <p class="mb-2 text-sm">
      Hung on a string with a thermometer beside it, neither touching the pan; note where it begins to open, let it
      cool, see it shut.
    </p>
    <div class="grid gap-x-6 pb-3 {banks[0] ? 'sm:grid-cols-2' : ''}">
      {#each banks as bank (bank ?? '')}
        <section aria-label={bank ? `Thermostat, ${bank} bank` : 'Thermostat'}>
          {#if bank}<h4 class="mb-1 font-semibold capitalize">{bank} bank</h4>{/if}
          <StationFields
            station="cooling"
            only={['thermostatStamp', 'thermostatOpens', 'thermostatPan']}
            {...bank ? { conditions: { bank } } : {}}
          />
        </section>
      {/each}
    </div>
  </Fold>
{/if}
<Fold
  large
  lazy
  title="Water through the passages"
  note="the thermostat out, a hose from below, then backward"
  open={touched('passages')}
>
  <div class="grid gap-x-6 pb-3 {banks[0] ? 'sm:grid-cols-2' : ''}">
    {#each banks as bank (bank ?? '')}
      <section aria-label={bank ? `Passages, ${bank} bank` : 'Passages'}>
        {#if bank}<h4 class="mb-1 font-semibold capitalize">{bank} bank</h4>{/if}
        <StationFields station="cooling" only={['passages']} {...bank ? { conditions: { bank } } : {}} />
      </section>
    {/each}
  </div>
</Fold>
{#if indicator}
  <Fold large lazy title="Timed bucket" note="the stream is a bleed, not the flow" open={touched('bucket')}>
    <div class="pb-3"><Bucket earlier={earlier.flows} /></div>
  </Fold>
{/if}
<QuickFigures station="cooling" example="head 61 °C" />
