<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/index.ts';
  import { allItems } from '$core/stations/items.ts';
  import type { Item } from '$core/survey/items.ts';
  import type { Conditions } from '$core/survey/reading.ts';
  import RepeatedChoice from './RepeatedChoice.svelte';
  import { useSession } from './session.svelte.ts';

  /** Spark of each cylinder: one tap a look. */
  let { conditions }: { conditions: Conditions } = $props();
  const session = useSession();
  const item = allItems['spark.result'] as Extract<Item, { kind: 'choice' }>;
  const cylinders = $derived(
    Array.from({ length: cylinderCount(session.survey.engine.profile) ?? 1 }, (_, k) => k + 1)
  );
  const stop = $derived(refusal(session.judgement.holds, 'spark.result'));
</script>

<div class="space-y-2">
  {#each cylinders as c (c)}
    <RepeatedChoice
      what="spark.result"
      {item}
      cylinder={c}
      legend={cylinders.length > 1 ? `Cylinder ${c}` : 'Spark'}
      disabled={Boolean(stop)}
      {conditions}
    />
  {/each}
</div>
