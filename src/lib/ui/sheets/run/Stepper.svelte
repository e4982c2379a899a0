<script lang="ts">
  import { parseQuantity, show, shownUnit, fromSI, toSI, type DimensionName, type System } from '$core/units/index.ts';

  /** A reading by one thumb: large steps up and down from the last one, typed if need be, taken with one tap. */
  interface Props {
    label: string;
    dimension: DimensionName;
    units: System;
    /** SI; where the steps begin. */
    last: number;
    /** Shown units: small and large step. */
    steps: readonly [number, number];
    ontake: (si: number, typed: string) => void;
  }
  let { label, dimension, units, last, steps, ontake }: Props = $props();
  const unit = $derived(shownUnit(dimension, units));
  let typed = $state<string>();
  let complaint = $state('');
  const text = $derived(typed ?? show(last, dimension, units).number.replace('−', '-'));

  function step(by: number): void {
    const now = parseQuantity(text, dimension, units);
    const from = now.ok ? fromSI(now.si, unit) : fromSI(last, unit);
    typed = String(Math.max(dimension === 'temperature' ? -60 : 0, Number((from + by).toFixed(steps[0] < 1 ? 1 : 0))));
    complaint = '';
  }
  function take(): void {
    const now = parseQuantity(text, dimension, units);
    if (!now.ok) return void (complaint = now.message);
    ontake(now.si, `${text.trim()} ${/[a-z°]/i.test(text) ? '' : unit.symbol}`.trim());
    typed = undefined;
    complaint = '';
  }
  const rounded = $derived(toSI(Number(text) || 0, unit));
</script>

<div class="min-w-0">
  <label class="label-caps" for="step-{label}">{label}, {unit.symbol}</label>
  <div class="mt-1 flex items-stretch gap-1">
    {#each [-steps[1], -steps[0]] as by (by)}<button
        type="button"
        class="chip min-h-14 min-w-11 justify-center px-1 text-lg"
        aria-label="{label} {by}"
        onclick={() => step(by)}>{String(by).replace('-', '−')}</button
      >{/each}
    <input
      id="step-{label}"
      class="input sounding min-h-14 w-16 min-w-0 grow px-1 text-center text-2xl"
      inputmode="decimal"
      autocomplete="off"
      value={text}
      aria-invalid={complaint ? 'true' : undefined}
      oninput={(e) => (typed = e.currentTarget.value)}
      onkeydown={(e) => e.key === 'Enter' && take()}
    />
    {#each [steps[0], steps[1]] as by (by)}<button
        type="button"
        class="chip min-h-14 min-w-11 justify-center px-1 text-lg"
        aria-label="{label} +{by}"
        onclick={() => step(by)}>+{by}</button
      >{/each}
  </div>
  <button type="button" class="btn btn-primary mt-1 min-h-14 w-full" onclick={take}
    >Take {Number.isFinite(rounded) && typed !== undefined ? '' : 'the same, '}{text} {unit.symbol}</button
  >
  {#if complaint}<p class="mt-1 font-medium text-error" role="alert">{complaint}</p>{/if}
</div>
