<script lang="ts">
  import { clock as serverClock } from '$lib/ui/session/clock.ts';
  import { PSI } from '$core/units/factors.ts';
  import { refusal } from '$core/holds/against.ts';
  import Strip from '../instruments/Strip.svelte';
  import Fold from '../marks/Fold.svelte';
  import {
    caseStages,
    overPressure,
    stageIds,
    stageTest,
    turnedAt,
    type CaseStage
  } from '$core/stations/gear/case-test.ts';
  import { saidOf, stageTarget } from '$core/stations/gear/case-words.ts';
  import { allItems } from '$core/stations/items.ts';
  import type { Conditions } from '$core/record/reading.ts';
  import { parseQuantity, say } from '$core/units/index.ts';
  import { onMount } from 'svelte';
  import Shape from '../marks/Shape.svelte';
  import LimitLine from '../survey/LimitLine.svelte';
  import { useSession } from '../session/session.svelte.ts';
  import StationFields from '../survey/StationFields.svelte';
  import CaseSection from './gear/CaseSection.svelte';
  import DecayChart from './DecayChart.svelte';

  /** The case test as a timed procedure: stage by stage, readings with their temperature, and how much longer to hold. */
  const session = useSession();
  const item = allItems['gear.casePressure'];
  let stage = $state<CaseStage>('low');
  let reading = $state('');
  let temperature = $state('');
  let complaint = $state('');
  let now = $state.raw(session.now);
  const tests = $derived(
    Object.fromEntries(stageIds.map((s) => [s, stageTest(session.judgement.context, s)])) as Record<
      CaseStage,
      ReturnType<typeof stageTest>
    >
  );
  const t = $derived(tests[stage]);
  const shape = {
    held: 'sound',
    leaks: 'fault',
    hold: 'cannot-tell',
    odd: 'cannot-tell',
    begun: 'cannot-tell'
  } as const;
  /** A stage begins at this share of its target at least. */
  const LEAST = 0.7;
  /** Moments at which the sheet asks for the next reading, minutes into the stage. */
  const MARKS = [5, 10, 15, 20, 30, 45, 60];
  const since = $derived(t ? Math.max(0, (now.getTime() - Date.parse(t.readings[0]!.at)) / 60_000) : 0);
  const due = $derived(t ? MARKS.find((m) => m > t.minutes + 0.5) : undefined);
  const any = $derived(stageIds.some((s) => tests[s]));

  onMount(() => {
    now = serverClock.date();
    const tick = setInterval(() => (now = serverClock.date()), 1000);
    return () => clearInterval(tick);
  });

  function take(e: SubmitEvent): void {
    e.preventDefault();
    complaint = '';
    const parsed = parseQuantity(reading, stage === 'vacuum' ? 'vacuum' : 'pressure', session.units);
    if (!parsed.ok) return void (complaint = parsed.message);
    const over = overPressure(session.judgement.context, parsed.si, stage);
    if (over) return void (complaint = over);
    const checked = item.schema.safeParse(parsed.si);
    if (!checked.success) return void (complaint = `“${reading}” cannot be true on a gear case.`);
    const warm = temperature.trim() ? parseQuantity(temperature, 'temperature', session.units) : undefined;
    if (warm && !warm.ok) return void (complaint = warm.message);
    if (warm && !(warm.si > 230 && warm.si < 400))
      return void (complaint = `“${temperature}” is no temperature of a case.`);
    const conditions: Conditions = { stage, ...(warm ? { temperature: warm.si } : {}) };
    session.read('gear.casePressure', parsed.si, { typed: reading.trim(), conditions });
    reading = '';
  }
  const turned = $derived(turnedAt(session.judgement.context, stage));
  const turn = (): void => session.read('gear.caseTurned', 'yes', { conditions: { stage } });
  const sayRead = (v: unknown): string =>
    typeof v !== 'number'
      ? 'unknown'
      : say(v, stage === 'vacuum' ? 'vacuum' : 'pressure', session.units, stage === 'vacuum' ? undefined : 689);
  const clock = (minutes: number): string =>
    minutes >= 100
      ? `${Math.floor(minutes / 60)} h ${Math.floor(minutes % 60)} min`
      : `${Math.floor(minutes)}:${String(Math.floor((minutes % 1) * 60)).padStart(2, '0')}`;
</script>

<Fold large lazy title="Case test" note="drained, before oil goes in" open={any}>
  <p class="mb-2 border-l-4 border-hold pl-3 text-sm">
    <strong class="font-semibold text-hold">Compressed air bursts cases and hurts eyes.</strong> Regulator at its lowest first,
    eye guard on, never over 15 psi without the manual’s figure.
  </p>
  <div class="flex flex-wrap gap-1.5" role="group" aria-label="Stage of the case test">
    {#each stageIds as s (s)}
      <button type="button" class="chip" aria-pressed={stage === s} onclick={() => (stage = s)}>
        <Shape condition={tests[s] ? shape[tests[s].verdict] : 'not-looked-at'} />
        <span>{caseStages[s].label}<small class="block text-sm opacity-90">{stageTarget(s, session.units)}</small></span
        >
      </button>
    {/each}
  </div>
  <p class="mt-2">{caseStages[stage].why} Shut it off, turn both shafts, move the shift, then read.</p>
  <form onsubmit={take} novalidate class="mt-2 flex flex-wrap items-end gap-2">
    <label class="w-36"
      ><span class="label-caps">{stage === 'vacuum' ? 'Vacuum reads' : 'Gauge reads'}</span><input
        class="input w-full"
        placeholder={stage === 'vacuum'
          ? session.units === 'us'
            ? '8 inHg'
            : '25 kPa'
          : say((stage === 'low' ? 4 : 10) * PSI, 'pressure', session.units)}
        autocomplete="off"
        bind:value={reading}
        aria-invalid={complaint ? 'true' : undefined}
      /></label
    >
    <label class="w-32"
      ><span class="label-caps">Case’s temperature</span><input
        class="input w-full"
        placeholder={session.units === 'us' ? '60 °F' : '15 °C'}
        autocomplete="off"
        bind:value={temperature}
      /></label
    >
    <button class="btn btn-primary">Take the reading</button>
    {#if t}
      <span class="min-h-11 self-center" role="timer" aria-label="Time in this stage: {clock(since)}"
        ><span class="sounding text-2xl">{clock(since)}</span>
        <span class="text-sm"
          >{due === undefined ? '' : since >= due ? 'read it now' : `next reading at ${due}:00`}</span
        ></span
      >
    {/if}
  </form>
  {#if complaint}<p class="mt-1 font-medium text-error" role="alert">{complaint}</p>{/if}
  <Strip
    units={session.units}
    names={['case', 'casetemp']}
    stop={refusal(session.judgement.holds, 'gear.casePressure')}
    arms={[
      {
        label: `Valve shut: log the ${caseStages[stage].label.toLowerCase()} stage`,
        arm: { kind: 'case', stage, least: LEAST * Math.min(...caseStages[stage].target) }
      }
    ]}
    armed={(a) =>
      a.kind === 'case'
        ? `${caseStages[a.stage].label.toLowerCase()} stage. It begins once the gauge stands still`
        : ''}
  />
  <div class="mt-2 min-h-14" aria-live="polite">
    {#if t}<p class="flex items-start gap-2 text-lg">
        <span class="pt-1"><Shape condition={shape[t.verdict]} /></span>
        <span>{saidOf(t)}</span>
      </p>{:else}<p>No reading at this stage yet.</p>{/if}
  </div>
  {#if t}
    <button type="button" class="chip my-2" aria-pressed={turned} disabled={turned} onclick={turn}
      ><Shape condition={turned ? 'sound' : 'not-looked-at'} /><span
        >{turned ? 'Shafts turned and shift moved at this stage' : 'Both shafts turned, shift moved: yes'}</span
      ></button
    >
    <DecayChart test={t} units={session.units} />
    <ol class="flex flex-wrap gap-1.5 pb-2" aria-label="Readings of this stage">
      {#each session.record
        .all('gear.casePressure', { round: session.roundOf('gear') })
        .filter((r) => r.conditions?.stage === stage) as r, k (r.id)}
        <li>
          <button
            type="button"
            class="chip"
            aria-label="{clock(t.readings[k]?.minutes ?? 0)} · {sayRead(r.value)}: take back"
            onclick={() => session.correct(r, undefined)}
            >{clock(t.readings[k]?.minutes ?? 0)} · {sayRead(r.value)}</button
          >
        </li>
      {/each}
    </ol>
  {/if}
  <div class="space-y-3 pb-3">
    <CaseSection />
    <StationFields station="gear" only={['caseOpen', 'caseAir']} />
    <LimitLine id="gear.casePressure" />
  </div>
</Fold>
