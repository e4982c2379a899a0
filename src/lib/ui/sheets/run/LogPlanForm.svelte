<script lang="ts">
  import type { LogPlan, LogQuestion, LogQuestionId } from '$core/instruments/logger/plan.ts';
  import type { LogTable } from '$core/instruments/logger/scan.ts';
  import { spotIds, spots, type Spot } from '$core/stations/run/runs.ts';

  /** What a logger's columns are: as the file says it, and open where it does not. */
  let {
    table,
    plan,
    questions,
    onchange
  }: { table: LogTable; plan: LogPlan; questions: readonly LogQuestion[]; onchange: (plan: LogPlan) => void } =
    $props();

  const open = $derived(new Map(questions.map((q) => [q.id, q.because])));
  const column = $derived(table.columns.map((c, k) => ({ k, name: table.header[k] ?? `column ${k + 1}`, c })));
  const figures = $derived(column.filter(({ c }) => c.numbers > 0));
  const clocks = $derived(column.filter(({ c }) => c.numbers > 0 || c.clocks > 0));
  const timeIsNumber = $derived(plan.time !== undefined && (table.columns[plan.time]?.numbers ?? 0) > 0);
  const places = $derived(plan.places ? [...(table.columns[plan.places.column]?.words ?? [])] : []);

  const set = (change: Partial<Record<keyof LogPlan, unknown>>): void => {
    const entries = Object.entries({ ...plan, ...change }).filter(([, v]) => v !== undefined && v !== '');
    onchange(Object.fromEntries(entries) as unknown as LogPlan);
  };
  const number = (value: string): number | undefined => (value === '' ? undefined : Number(value));
  function warm(index: number, value: string): void {
    const chosen = number(value);
    const list = [...plan.temperatures];
    if (chosen === undefined) list.splice(index, 1);
    else list[index] = { ...(list[index]?.spot ? { spot: list[index].spot } : {}), column: chosen };
    set({ temperatures: list });
  }
  const place = (index: number, spot: string): void =>
    set({
      temperatures: plan.temperatures.map((t, i) =>
        i === index ? { column: t.column, ...(spot ? { spot: spot as Spot } : {}) } : t
      )
    });
  const placeOf = (word: string, spot: string): void => {
    const { [word]: _old, ...rest } = plan.places!.spots;
    set({ places: { ...plan.places!, spots: spot ? { ...rest, [word]: spot as Spot } : rest } });
  };
</script>

{#snippet why(id: LogQuestionId)}
  {#if open.has(id)}<span class="mt-1 block text-sm font-medium text-error" id="log-{id}">{open.get(id)}</span>{/if}
{/snippet}
{#snippet choose(
  id: LogQuestionId,
  label: string,
  value: string | undefined,
  options: readonly (readonly [string, string])[],
  choice: (value: string) => void
)}
  <label
    ><span class="label-caps">{label}</span>
    <select
      class="select w-full"
      value={value ?? ''}
      aria-invalid={open.has(id)}
      aria-describedby={open.has(id) ? `log-${id}` : undefined}
      onchange={(e) => choice(e.currentTarget.value)}
    >
      <option value="">say which</option>
      {#each options as [v, text] (v)}<option value={v}>{text}</option>{/each}
    </select>{@render why(id)}</label
  >
{/snippet}

<div class="mt-2 grid grid-cols-1 gap-2 sm:grid-cols-2">
  {@render choose(
    'time',
    'Time',
    plan.time === undefined ? undefined : String(plan.time),
    clocks.map(({ k, name }) => [String(k), name] as const),
    (v) => set({ time: number(v), timeUnit: undefined, pair: undefined })
  )}
  {#if timeIsNumber}
    {@render choose(
      'timeUnit',
      'It counts',
      plan.timeUnit,
      [
        ['s', 'seconds'],
        ['min', 'minutes'],
        ['h', 'hours'],
        ['ms', 'milliseconds'],
        ['sample', 'samples']
      ],
      (v) => set({ timeUnit: v })
    )}
  {/if}
  {#if plan.timeUnit === 'sample'}
    <label
      ><span class="label-caps">Seconds between samples</span>
      <input
        class="input w-full"
        inputmode="decimal"
        value={plan.every ?? ''}
        aria-invalid={open.has('every')}
        onchange={(e) => {
          const every = Number(e.currentTarget.value.replace(',', '.'));
          set({ every: every > 0 ? every : undefined });
        }}
      />{@render why('every')}</label
    >
  {/if}
  {#if open.has('pair') || plan.pair}
    {@render choose(
      'pair',
      '“14:02” is',
      plan.pair,
      [
        ['min:s', 'minutes and seconds'],
        ['h:min', 'hours and minutes']
      ],
      (v) => set({ pair: v })
    )}
  {/if}
  {#if open.has('dateOrder') || plan.dateOrder}
    {@render choose(
      'dateOrder',
      'Dates are written',
      plan.dateOrder,
      [
        ['day-first', 'day first, 31/5/2026'],
        ['month-first', 'month first, 5/31/2026']
      ],
      (v) => set({ dateOrder: v })
    )}
  {/if}
  {#each [...plan.temperatures, undefined] as t, i (i)}
    {#if t || i < 3}
      <label
        ><span class="label-caps">{i ? 'Another temperature' : 'Temperature'}</span>
        <select
          class="select w-full"
          value={t ? String(t.column) : ''}
          aria-invalid={i === 0 && open.has('temperature')}
          onchange={(e) => warm(i, e.currentTarget.value)}
        >
          <option value="">{i ? 'no more' : 'say which'}</option>
          {#each figures as { k, name } (k)}<option value={String(k)}>{name}</option>{/each}
        </select>{#if i === 0}{@render why('temperature')}{/if}</label
      >
      {#if t && !plan.places}
        <label
          ><span class="label-caps">Where “{table.header[t.column]}” was</span>
          <select
            class="select w-full"
            value={t.spot ?? ''}
            aria-invalid={!t.spot && open.has('spot')}
            onchange={(e) => place(i, e.currentTarget.value)}
          >
            <option value="">say which</option>
            {#each spotIds as s (s)}<option value={s}>{spots[s]}</option>{/each}
          </select></label
        >
      {/if}
    {/if}
  {/each}
  {#each places as word (word)}
    <label
      ><span class="label-caps">“{word}” in “{table.header[plan.places!.column]}” is</span>
      <select
        class="select w-full"
        value={Object.hasOwn(plan.places!.spots, word) ? plan.places!.spots[word] : ''}
        onchange={(e) => placeOf(word, e.currentTarget.value)}
      >
        <option value="">say which</option>
        {#each spotIds as s (s)}<option value={s}>{spots[s]}</option>{/each}
      </select></label
    >
  {/each}
  {@render choose(
    'unit',
    'Temperatures in',
    plan.unit,
    [
      ['°C', '°C'],
      ['°F', '°F'],
      ['K', 'K']
    ],
    (v) => set({ unit: v })
  )}
  {@render choose(
    'decimal',
    'Decimal sign',
    plan.decimal,
    [
      ['.', 'point, 21.5'],
      [',', 'comma, 21,5']
    ],
    (v) => set({ decimal: v })
  )}
  <label
    ><span class="label-caps">Engine speed</span>
    <select
      class="select w-full"
      value={plan.rpm === undefined ? '' : String(plan.rpm)}
      onchange={(e) => set({ rpm: number(e.currentTarget.value) })}
    >
      <option value="">not in this file</option>
      {#each figures as { k, name } (k)}<option value={String(k)}>{name}</option>{/each}
    </select></label
  >
</div>
{@render why('spot')}
