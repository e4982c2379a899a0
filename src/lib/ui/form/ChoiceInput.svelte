<script lang="ts">
  import type { Item } from '$core/items/item.ts';

  interface Props {
    item: Extract<Item, { kind: 'choice' }>;
    name: string;
    value: string;
    error?: string;
    note?: string;
    disabled?: boolean;
    compact?: boolean;
    oncommit?: ((value: unknown, typed: string) => void) | undefined;
  }
  let { item, name, value, error = '', note = '', disabled = false, compact = false, oncommit }: Props = $props();
  const id = $derived(name.replace(/\W/g, '-'));
</script>

{#if compact}
  <label class="block">
    <span class="sr-only">{item.label}</span>
    <select
      class="select w-full"
      {name}
      {disabled}
      {value}
      onchange={(e) => e.currentTarget.value && oncommit?.(e.currentTarget.value, e.currentTarget.value)}
    >
      <option value="">–</option>
      {#each item.options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
    </select>
  </label>
{:else}
  <fieldset {disabled} aria-describedby={error ? `${id}-error` : undefined} class="min-w-0">
    <legend class="label-caps mb-1">{item.ask ?? item.label}</legend>
    <div class="flex flex-wrap gap-1.5">
      {#each item.options as option (option.value)}
        <label class="chip" class:soft={option.value === 'unknown' || option.value === 'not-fitted'}>
          <input
            type="radio"
            class="sr-only"
            {name}
            value={option.value}
            checked={value === option.value}
            onchange={oncommit ? () => oncommit(option.value, option.value) : undefined}
            onclick={oncommit && value === option.value ? () => oncommit(option.value, option.value) : undefined}
          />
          <span
            >{option.label}{#if option.hint}<small class="block text-sm opacity-90">{option.hint}</small>{/if}</span
          >
        </label>
      {/each}
    </div>
    {#if note}<p class="mt-1 text-sm">{note}</p>{/if}
    {#if error}<p id="{id}-error" class="mt-1 font-medium text-error" role="alert">{error}</p>{/if}
  </fieldset>
{/if}
