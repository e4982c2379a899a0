<script lang="ts">
  import type { OrderLine } from '$core/parts/lines.ts';
  import { partStates } from '$core/record/work.ts';

  /** One line of the order: where it can be had, which is taken, and where it stands. Works without scripts. */
  interface Props {
    surveyId: string;
    line?: OrderLine;
    form: { typed?: Record<string, string>; errors?: Record<string, string> } | null;
  }
  let { surveyId, line, form }: Props = $props();
  const value = (key: string, now: string | number | undefined): string => form?.typed?.[key] ?? String(now ?? '');
  const wrong = (key: string): string => form?.errors?.[key] ?? '';
  const offer = (k: number): { from?: string; what?: string; price?: number; days?: number } => line?.offers?.[k] ?? {};
</script>

{#snippet field(key: string, label: string, now: string | number | undefined, type = 'text')}
  <div>
    <label class="block"
      ><span class="label-caps">{label}</span><input
        class="input w-full"
        name={key}
        {type}
        value={value(key, now)}
        maxlength="120"
        aria-invalid={wrong(key) ? 'true' : undefined}
      /></label
    >
    {#if wrong(key)}<p class="font-medium text-error" role="alert">{wrong(key)}</p>{/if}
  </div>
{/snippet}

<form method="POST" action="?/line" class="mt-2 space-y-3 border-t border-line pt-2">
  <input type="hidden" name="survey" value={surveyId} />
  <input type="hidden" name="key" value={line?.key ?? ''} />
  <input type="hidden" name="step" value={line?.step ?? ''} />
  <div class="grid gap-3 sm:grid-cols-[2fr_1fr_6rem]">
    {@render field('name', 'Part', line?.name)}
    {@render field('number', 'Part number', line?.number)}
    {@render field('quantity', 'Pieces', line?.quantity ?? 1)}
  </div>
  <fieldset>
    <legend class="label-caps">Where it can be had: two sources, pieces or a kit</legend>
    {#each [0, 1, 2, 3].filter((k) => k < 2 || line?.offers?.[k] || line?.offers?.[k - 1] || wrong(`from${k}`)) as k (k)}
      <div class="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-[1.6fr_8rem_8rem_6rem_auto]">
        {@render field(`from${k}`, `Source ${k + 1}`, offer(k).from)}
        <label class="block"
          ><span class="label-caps">As</span><select
            class="select w-full"
            name="what{k}"
            value={value(`what${k}`, offer(k).what ?? 'pieces')}
            ><option value="pieces">pieces</option><option value="kit">kit</option></select
          ></label
        >
        {@render field(`price${k}`, 'Price, cr', offer(k).price)}
        {@render field(`days${k}`, 'Days', offer(k).days)}
        <label class="flex min-h-11 items-center gap-2"
          ><input
            type="radio"
            class="radio"
            name="chosen"
            value={k}
            checked={value('chosen', line?.chosen) === String(k)}
          /> taken</label
        >
      </div>
    {/each}
  </fieldset>
  <div class="grid gap-3 sm:grid-cols-[1fr_12rem_auto] sm:items-end">
    <label class="block"
      ><span class="label-caps">Where it stands</span><select
        class="select w-full"
        name="state"
        value={value('state', line?.state === 'unknown' ? 'wanted' : (line?.state ?? 'wanted'))}
      >
        {#each Object.entries(partStates) as [key, label] (key)}<option value={key}>{label}</option>{/each}
      </select></label
    >
    {@render field('due', 'Expected on', line?.due, 'date')}
    <button class="btn btn-primary">Keep</button>
  </div>
</form>
