<script lang="ts">
  import type { Run } from '$core/stations/run/runs.ts';
  import { heatingOf } from '$core/stations/run/heating-of.ts';
  import { mainTrack, spots } from '$core/stations/run/runs.ts';
  import { clock, type Warming } from '$core/stations/run/warming.ts';
  import { warmingSaid } from '$core/stations/run/warming-words.ts';
  import { fromSI, say, shownUnit } from '$core/units/index.ts';
  import { scaleLinear } from 'd3-scale';
  import { area, line } from 'd3-shape';
  import ChartFrame from '../../drawing/ChartFrame.svelte';
  import { useSession } from '../../session/session.svelte.ts';

  /** Temperature over the run, the curve it follows with the plateau it heads for, the limit, and the run before beside it. */
  let { run, warming, before }: { run: Run; warming: Warming; before?: Run | undefined } = $props();
  const session = useSession();
  let measured = $state(0);
  const W = $derived(measured > 120 ? measured : 560);
  const H = 250;
  const unit = $derived(shownUnit('temperature', session.units));
  const own = $derived(warming.track.samples);
  const beside = $derived(before && mainTrack(before)?.spot === warming.track.spot ? mainTrack(before) : undefined);
  const fit = $derived(warming.heating.fit);
  const from = $derived(warming.heating.from);
  const last = $derived(own.at(-1)?.seconds ?? 0);
  const span = $derived(Math.max(240, last * 1.35, Math.min(beside?.samples.at(-1)?.seconds ?? 0, last * 2)));
  const limit = $derived(warming.limit.value);
  const top = $derived(
    Math.max(limit + 6, ...own.map((s) => s.temperature), ...(beside?.samples ?? []).map((s) => s.temperature))
  );
  const low = $derived(
    Math.min(...own.map((s) => s.temperature), ...(beside?.samples ?? []).map((s) => s.temperature)) - 4
  );
  const x = $derived(scaleLinear([0, span], [50, W - 14]));
  const minutes = $derived(scaleLinear([0, span / 60], [0, 1]).ticks(6));
  const y = $derived(scaleLinear([low, top + 4], [H - 34, 10]));
  const path = $derived(
    line<{ seconds: number; temperature: number }>()
      .x((d) => x(d.seconds))
      .y((d) => y(d.temperature))
  );
  const grid = Array.from({ length: 60 }, (_, k) => k / 59);
  const at = (p: number, s: number): number => p - (p - fit!.start) * Math.exp(-(s - from) / fit!.tau);
  const ahead = $derived(
    fit ? grid.map((g) => from + g * (span - from)).map((s) => ({ seconds: s, temperature: at(fit.plateau, s) })) : []
  );
  /** Where it may end, drawn as a bar at the right: the whole upper part while there is no upper limit. */
  const end = $derived(
    fit ? { low: Math.max(low, fit.low), high: Math.min(top + 4, fit.high ?? Infinity) } : undefined
  );
  const fan = $derived(
    end && last < span && end.low < end.high
      ? area<{ s: number; a: number; b: number }>()
          .x((d) => x(d.s))
          .y0((d) => y(d.a))
          .y1((d) => y(d.b))([
          { s: last, a: own.at(-1)!.temperature, b: own.at(-1)!.temperature },
          { s: span, a: Math.min(end.low, at(end.low, span)), b: end.high }
        ])
      : null
  );
  const ticks = $derived(
    scaleLinear([fromSI(low, unit), fromSI(top + 4, unit)], [H - 34, 10])
      .ticks(5)
      .map((v) => ({ text: String(v), at: scaleLinear([fromSI(low, unit), fromSI(top + 4, unit)], [H - 34, 10])(v) }))
  );
  const words = $derived(
    `${run.label}, ${spots[warming.track.spot]}: from ${say(own[0]!.temperature, 'temperature', session.units)} to ${say(own.at(-1)!.temperature, 'temperature', session.units)} in ${clock(last)}. ${warmingSaid(warming, session.units)}`
  );
  const steadyBefore = $derived(beside && before ? heatingOf(session.judgement.context, beside).steady : undefined);
</script>

<ChartFrame
  bind:measured
  width={W}
  height={H}
  left={50}
  right={14}
  foot={16}
  label={words}
  yTicks={ticks}
  xTicks={minutes.map((m) => ({ text: String(m), at: x(m * 60) }))}
  xName="minutes"
  class="panel p-2"
>
  <text
    x={W - 14}
    y={H - 2}
    text-anchor="end"
    font-size="14"
    font-family="var(--font-label)"
    fill="var(--color-base-content)">{unit.symbol} at the {spots[warming.track.spot]}</text
  >
  {#if fan}<path d={fan} fill="var(--color-primary)" fill-opacity=".13" />{/if}
  {#if beside}<path
      d={path(beside.samples.filter((s) => s.seconds <= span))}
      fill="none"
      stroke="var(--color-base-content)"
      stroke-opacity=".55"
      stroke-dasharray="2 4"
      stroke-width="2"
    />{/if}
  <path d="M50 {y(limit)}H{W - 14}" stroke="var(--color-error)" stroke-width="2" stroke-dasharray="9 5" />
  <text
    x={W - 16}
    y={y(limit) - 5}
    text-anchor="end"
    font-size="14"
    font-family="var(--font-label)"
    font-weight="600"
    fill="var(--color-error)">limit {say(limit, 'temperature', session.units)}</text
  >
  {#if warming.heating.opened !== undefined}<path
      d="M{x(warming.heating.opened)} 10V{H - 34}"
      stroke="var(--color-line)"
    /><text
      x={x(warming.heating.opened) + 4}
      y="22"
      font-size="14"
      font-family="var(--font-label)"
      fill="var(--color-base-content)">thermostat opens</text
    >{/if}
  {#if ahead.length}<path
      d={path(ahead.filter((p) => p.temperature < top + 4))}
      fill="none"
      stroke="var(--color-primary)"
      stroke-width="2"
    />{/if}
  {#if own.length > 120}<path d={path([...own])} fill="none" stroke="var(--color-base-content)" stroke-width="1.5" />
  {:else}{#each own as s, k (k)}<circle
        cx={x(s.seconds)}
        cy={y(s.temperature)}
        r="4"
        fill="var(--color-base-100)"
        stroke="var(--color-base-content)"
        stroke-width="2"
      />{/each}{/if}
  {#snippet caption()}
    Circles: read. Line: the curve that fits. Shaded: where it may end{fit && fit.high === undefined
      ? ', with no upper limit yet'
      : ''}.{#if beside}
      Dotted: {before!.label}{steadyBefore
        ? `, steady at ${say(steadyBefore.at, 'temperature', session.units)}`
        : ''}.{/if}
  {/snippet}
</ChartFrame>
