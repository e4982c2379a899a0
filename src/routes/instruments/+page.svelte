<script lang="ts">
  import { atRest, StandIns, type Controls } from '$core/instruments/stand-ins/bench.ts';
  import { standInEngines } from '$core/instruments/stand-ins/engines.ts';
  import { SourceReader } from '$core/instruments/lines.ts';
  import { signals, type SignalName } from '$core/instruments/signals.ts';
  import { PSI } from '$core/units/factors.ts';
  import { say } from '$core/units/index.ts';
  import Dial from '$lib/ui/instruments/Dial.svelte';
  import { scaleOf } from '$lib/ui/instruments/scale.ts';
  import { randomNormal } from 'd3-random';
  import { onMount } from 'svelte';

  /** Stand-in instruments: hands on a made-up engine, sentences to every open sheet as devices would send them. */
  let { data } = $props();
  let engine = $state(standInEngines[0]!.id);
  let controls = $state<Controls>(atRest);
  let shown = $state.raw<Partial<Record<SignalName, number>>>({});
  let problem = $state('');
  let sending = $state(true);
  const chosen = $derived(standInEngines.find((e) => e.id === engine)!);
  const cylinders = $derived(chosen.engine.leaks.map((_, k) => k + 1));
  const set = (change: Partial<Controls>): void => void (controls = { ...controls, ...change });

  /** Hands move on by this, s; what they make goes out so often, ms. */
  const STEP = 0.05;
  const SEND = 50;
  let stand = new StandIns(standInEngines[0]!.engine, randomNormal(0, 1));
  function change(id: string): void {
    [engine, controls] = [id, atRest];
    stand = new StandIns(standInEngines.find((e) => e.id === id)!.engine, randomNormal(0, 1));
  }

  onMount(() => {
    const reader = new SourceReader();
    let last = performance.now();
    let waiting: string[] = [];
    let busy = false;
    async function send(): Promise<void> {
      if (busy || !waiting.length || !sending) return void (sending || (waiting = []));
      busy = true;
      const text = waiting.join('\n');
      waiting = [];
      try {
        const answer = await fetch('/instruments/lines', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ text })
        });
        problem = answer.ok ? '' : 'The server did not take the sentences.';
      } catch {
        problem = 'The server does not answer; the instruments go on here.';
      }
      busy = false;
    }
    const timer = setInterval(() => {
      const now = performance.now();
      // A page in the background is not called for a while: it goes on from where it is, without catching up.
      const steps = Math.min(20, Math.floor((now - last) / (STEP * 1000)));
      last = steps === 20 ? now : last + steps * STEP * 1000;
      const next = { ...shown };
      for (let k = 0; k < steps; k++)
        for (const line of stand.step(controls, STEP)) {
          waiting.push(line);
          for (const s of reader.read(line)) next[s.name] = s.value;
        }
      if (steps) shown = next;
      void send();
    }, SEND);
    return () => clearInterval(timer);
  });

  const dials = $derived(
    (['gauge', 'batt', 'tach', 'case', 'head', 'headp', 'heads'] as const).filter((n) => shown[n] !== undefined)
  );
  const valves = [
    ['fill', 'Air on'],
    ['shut', 'Shut off'],
    ['let-down', 'Let down']
  ] as const;
  const settings = [
    [4 * PSI, 'low'],
    [10 * PSI, 'high'],
    [-25_000, 'vacuum']
  ] as const;
  const hold = (down: boolean) => (e: KeyboardEvent) => {
    if (e.key !== ' ' && e.key !== 'Enter') return;
    e.preventDefault();
    set({ cranking: down });
  };
</script>

<svelte:head><title>Stand-in instruments · Indaga</title></svelte:head>
<h1>Stand-in instruments</h1>
<p class="max-w-prose">
  A made-up engine with gauges that send their readings. Open a check in another window, switch on “Instruments enter
  their own readings”, arm, and use your hands here. What is recorded from it is marked as a stand-in.
</p>
<div class="mt-3 flex flex-wrap items-end gap-3">
  <label class="grow sm:max-w-xl"
    ><span class="label-caps">Engine</span><select
      class="select w-full"
      value={engine}
      onchange={(e) => change(e.currentTarget.value)}
      >{#each standInEngines as e (e.id)}<option value={e.id}>{e.title}</option>{/each}</select
    ></label
  >
  <label class="flex min-h-11 items-center gap-3"
    ><input type="checkbox" class="toggle" bind:checked={sending} />They send</label
  >
</div>
{#if problem}<p class="mt-2 font-medium text-error" role="alert">{problem}</p>{/if}

<section class="panel mt-3 flex flex-wrap justify-center gap-3 p-3" aria-label="Needles">
  {#each dials as n (n)}
    {@const scale = scaleOf(n)}
    <Dial
      label={signals[n].label}
      value={shown[n]!}
      from={scale.from}
      to={scale.to}
      text={say(shown[n]!, signals[n].dimension, data.units)}
    />
  {:else}<p>The instruments start.</p>{/each}
</section>

<div class="mt-3 grid gap-3 md:grid-cols-3">
  <section class="panel p-3" aria-labelledby="stand-crank">
    <h2 id="stand-crank" class="text-xl">Compression</h2>
    <div class="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Gauge screwed into cylinder">
      {#each cylinders as c (c)}<button
          type="button"
          class="chip"
          aria-pressed={controls.cylinder === c}
          onclick={() => set({ cylinder: c })}>{c}</button
        >{/each}
    </div>
    <button
      type="button"
      class="btn btn-primary mt-3 min-h-20 w-full touch-none text-xl"
      aria-pressed={controls.cranking}
      onpointerdown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        set({ cranking: true });
      }}
      onpointerup={() => set({ cranking: false })}
      onpointercancel={() => set({ cranking: false })}
      onkeydown={hold(true)}
      onkeyup={hold(false)}>Lever: hold to crank</button
    >
    <button
      type="button"
      class="btn btn-outline btn-primary mt-2 w-full"
      onclick={() => {
        set({ release: true });
        setTimeout(() => set({ release: false }), 900);
      }}>Let the gauge go</button
    >
    <label class="mt-3 block"
      ><span class="label-caps">Throttle, {Math.round(100 * controls.throttle)} % open</span><input
        type="range"
        class="range w-full"
        min="0"
        max="1"
        step="0.05"
        value={controls.throttle}
        oninput={(e) => set({ throttle: Number(e.currentTarget.value) })}
      /></label
    >
  </section>
  <section class="panel p-3" aria-labelledby="stand-case">
    <h2 id="stand-case" class="text-xl">Gear case</h2>
    <p class="label-caps mt-2">Regulator</p>
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Regulator">
      {#each settings as [p, label] (label)}<button
          type="button"
          class="chip"
          aria-pressed={controls.regulator === p}
          onclick={() => set({ regulator: p })}
          >{label}, {say(Math.abs(p), p < 0 ? 'vacuum' : 'pressure', data.units)}</button
        >{/each}
    </div>
    <p class="label-caps mt-3">Valve</p>
    <div class="flex flex-wrap gap-1.5" role="group" aria-label="Valve">
      {#each valves as [v, label] (v)}<button
          type="button"
          class="chip"
          aria-pressed={controls.valve === v}
          onclick={() => set({ valve: v })}>{label}</button
        >{/each}
    </div>
  </section>
  <section class="panel p-3" aria-labelledby="stand-run">
    <h2 id="stand-run" class="text-xl">Running</h2>
    <p class="mt-2 text-sm">In the water; the thermometers follow the head.</p>
    <button
      type="button"
      class="btn btn-primary mt-3 min-h-14 w-full"
      aria-pressed={controls.running}
      onclick={() => set({ running: !controls.running })}>{controls.running ? 'Stop it' : 'Start it'}</button
    >
  </section>
</div>
