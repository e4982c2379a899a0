<script lang="ts">
  import type { Step } from '$core/plan/plan.ts';
  import { useSession } from '../session/session.svelte.ts';
  import { insidesOf } from './insides.ts';
  import JobCard from './JobCard.svelte';

  /** One job on its own, with what it is from the inside. */
  interface Props {
    step: Step;
    base: string;
    onmarked: () => void;
  }
  let { step, base, onmarked }: Props = $props();
  const session = $derived(useSession());
</script>

<JobCard
  {step}
  insides={insidesOf(session.context, step.id)}
  plain
  {base}
  titles={{}}
  onmark={(state, note, late) => {
    session.mark(step.id, state, note, late);
    onmarked();
  }}
/>
