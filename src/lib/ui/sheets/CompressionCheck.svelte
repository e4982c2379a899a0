<script lang="ts">
  import { cylinderCount } from '$core/engine/profile.ts';
  import { refusal } from '$core/holds/against.ts';
  import Strip from '../instruments/Strip.svelte';
  import ConditionsBar from '../survey/ConditionsBar.svelte';
  import QuickLine from '../survey/QuickLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import CompressionSheet from './CompressionSheet.svelte';
  import { GaugeInHand, gaugesOf, testersOf } from './gauge.svelte.ts';
  import type { SheetProps } from './register.ts';

  /** Compression: the sheet with the gauge in hand and the fit that a worker makes. */
  let { instruments, references }: SheetProps = $props();
  const session = useSession();
  $effect(() => {
    const { leaks } = session;
    leaks.shown = true;
    return () => (leaks.shown = false);
  });
  const gauge = new GaugeInHand(() => gaugesOf(instruments));
  const record = { conditions: () => session.conditionsOf('compression'), instrument: () => gauge.instrument };
  const count = $derived(cylinderCount(session.survey.engine.profile) ?? 1);
  /** The first cylinder without a reading in this round, else the first. */
  const next = $derived(
    Array.from({ length: count }, (_, k) => k + 1).find(
      (cylinder) =>
        !(['compression.pressure', 'compression.pulls'] as const).some(
          (what) => session.record.all(what, { cylinder, round: session.roundOf('compression') }).length
        )
    ) ?? 1
  );
</script>

<CompressionSheet
  conditions={session.conditionsOf('compression')}
  instrument={gauge.instrument}
  testers={testersOf(instruments)}
  fitting={session.leaks}
  {references}
>
  {#snippet strip()}
    <Strip
      {record}
      units={session.units}
      names={['gauge', 'batt', 'tach']}
      stop={refusal(session.judgement.holds, 'compression.pressure')}
      arms={[
        {
          label: `Arm cylinder ${next}${count > 1 ? ' and on' : ''}`,
          arm: { kind: 'compression', cylinder: next, of: count }
        },
        ...(count > 1 && next === 1
          ? []
          : count > 1
            ? [{ label: 'Arm cylinder 1 and on', arm: { kind: 'compression' as const, cylinder: 1, of: count } }]
            : [])
      ]}
      armed={(a) =>
        a.kind === 'compression'
          ? `cylinder ${a.cylinder}. Pull until the needle stops rising, let it stand, let it go`
          : ''}
    />
  {/snippet}
  {#snippet quick()}<div class="mt-3"><QuickLine instrument={() => gauge.instrument} /></div>{/snippet}
  {#snippet settings()}
    <ConditionsBar
      station="compression"
      conditions={session.conditionsOf('compression')}
      instruments={gaugesOf(instruments)}
      instrumentId={gauge.id}
      units={session.units}
      onchange={(c) => session.setConditions('compression', c)}
      oninstrument={(id) => gauge.pick(id)}
    />
  {/snippet}
</CompressionSheet>
