<script lang="ts">
  import type { Conditions, Instrument } from '$core/record/reading.ts';
  import { parseQuantity, say, type System } from '$core/units/index.ts';

  /** Under which conditions the next readings are taken; set once, kept for the following ones. */
  interface Props {
    station: 'compression' | 'spark';
    conditions: Conditions;
    instruments: readonly { id: string; instrument: Instrument }[];
    instrumentId: string;
    units: System;
    onchange: (c: Conditions) => void;
    oninstrument: (id: string) => void;
  }
  let { station, conditions, instruments, instrumentId, units, onchange, oninstrument }: Props = $props();
  let complaint = $state('');

  const choices = $derived(
    station === 'compression'
      ? ([
          ['throttle', 'Throttle', { open: 'wide open', shut: 'shut', unknown: 'unknown' }],
          ['bores', 'Bores', { dry: 'dry', oiled: 'oiled', unknown: 'unknown' }],
          ['engine', 'Engine', { cold: 'cold', warm: 'warm', unknown: 'unknown' }]
        ] as const)
      : ([
          ['path', 'Spark goes to', { tester: 'tester', bolt: 'a bolt', plug: 'its plug', unknown: 'unknown' }],
          ['light', 'Light', { shade: 'shade', sun: 'sunlight', unknown: 'unknown' }],
          ['engine', 'Engine', { cold: 'cold', warm: 'warm', unknown: 'unknown' }]
        ] as const)
  );

  const gauge = $derived(instruments.find((i) => i.id === instrumentId)?.instrument.name ?? 'ordinary gauge');
  const summary = $derived(
    [
      ...(station === 'compression' ? [gauge] : []),
      ...choices.map(
        ([key, label, options]) =>
          `${label.toLowerCase()} ${(options as Record<string, string>)[conditions[key] ?? 'unknown']}`
      ),
      conditions.volts === undefined ? 'volts not noted' : `${conditions.volts} V`
    ].join(' · ')
  );

  function set(key: keyof Conditions, value: string | number | undefined): void {
    const { [key]: _old, ...rest } = conditions;
    onchange(value === undefined ? rest : ({ ...rest, [key]: value } as Conditions));
  }
  function measured(key: 'volts' | 'rpm' | 'dose', text: string): void {
    complaint = '';
    if (!text.trim()) return set(key, undefined);
    const parsed = parseQuantity(text, key === 'volts' ? 'voltage' : key === 'rpm' ? 'speed' : 'volume', units);
    const most = key === 'volts' ? 60 : key === 'rpm' ? 3000 : 1e-4;
    if (!parsed.ok) complaint = parsed.message;
    else if (parsed.si > most) complaint = `“${text}” cannot be true here. Check the number and its unit.`;
    else set(key, parsed.si);
  }
</script>

<details class="panel px-3">
  <summary class="flex min-h-[44px] cursor-pointer items-center gap-x-2 text-sm"
    ><span class="sr-only">Conditions:</span> <span class="min-w-0 flex-1 leading-snug">{summary}</span>
    <span class="plain-link shrink-0">change</span></summary
  >
  <fieldset class="pb-3">
    <legend class="sr-only">Conditions of the next readings</legend>
    <div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
      {#if station === 'compression'}
        <label class="col-span-2 block sm:col-span-3"
          ><span class="label-caps">Gauge</span>
          <select class="select w-full" value={instrumentId} onchange={(e) => oninstrument(e.currentTarget.value)}>
            {#each instruments as i (i.id)}<option value={i.id}
                >{i.instrument.name}{i.instrument.adapterVolume
                  ? ` · ${say(i.instrument.adapterVolume, 'volume', units)} before the valve`
                  : ''}</option
              >{/each}
            <option value="">ordinary gauge, not listed</option>
          </select>
        </label>
      {/if}
      {#each choices as [key, label, options] (key)}
        <label class="block"
          ><span class="label-caps">{label}</span>
          <select
            class="select w-full"
            value={conditions[key] ?? 'unknown'}
            onchange={(e) => set(key, e.currentTarget.value)}
          >
            {#each Object.entries(options) as [value, words] (value)}<option {value}>{words}</option>{/each}
          </select>
        </label>
      {/each}
      {#if station === 'compression' && conditions.bores === 'oiled'}
        <label class="block"
          ><span class="label-caps">Oil per bore</span><input
            class="input w-full"
            placeholder="5 mL"
            value={conditions.dose === undefined ? '' : say(conditions.dose, 'volume', units, 1e-7)}
            onchange={(e) => measured('dose', e.currentTarget.value)}
          /></label
        >
      {/if}
      <label class="block"
        ><span class="label-caps">Volts cranking</span><input
          class="input w-full"
          inputmode="decimal"
          placeholder="unknown"
          value={conditions.volts ?? ''}
          onchange={(e) => measured('volts', e.currentTarget.value)}
        /></label
      >
      <label class="block"
        ><span class="label-caps">Cranking rpm</span><input
          class="input w-full"
          inputmode="numeric"
          placeholder="unknown"
          value={conditions.rpm ?? ''}
          onchange={(e) => measured('rpm', e.currentTarget.value)}
        /></label
      >
    </div>
    {#if complaint}<p class="mt-1 font-medium text-error" role="alert">{complaint}</p>{/if}
  </fieldset>
</details>
