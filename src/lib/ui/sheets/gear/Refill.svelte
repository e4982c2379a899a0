<script lang="ts">
  import { capacityOf } from '$core/stations/gear/capacity.ts';
  import { bottlesFor, refillSteps } from '$core/stations/gear/refill.ts';
  import { known } from '$core/engine/profile.ts';
  import { say } from '$core/units/index.ts';
  import PourTally from '../../survey/PourTally.svelte';
  import { useSession } from '../../session/session.svelte.ts';
  import StationFields from '../../survey/StationFields.svelte';

  /** Filling the case: steps by the plugs it has, bottles, strokes counted, level hole, washers. */
  const session = useSession();
  const engine = $derived(session.survey.engine);
  const steps = $derived(refillSteps(engine.profile));
  const capacity = $derived(capacityOf(engine));
  const bottle = $derived(known(session.record.value('gear.bottle')));
  const plan = $derived(capacity && bottle ? bottlesFor(capacity, bottle) : undefined);
</script>

<ol class="list-decimal space-y-1 pl-5">
  {#each steps as s (s.id)}<li>{s.text}</li>{/each}
</ol>
{#if plan}<p class="my-2 border-l-4 border-primary pl-3">
    {plan.bottles}
    {plan.bottles === 1 ? 'bottle' : 'bottles'} of {say(bottle!, 'volume', session.units)} for {say(
      capacity!,
      'volume',
      session.units
    )}; {say(plan.over, 'volume', session.units)} left over.
  </p>{/if}
<div class="my-3"><PourTally station="gear" word="stroke" /></div>
<StationFields station="gear" only={['levelHole', 'washers', 'refill']} />
