<script lang="ts">
  import type { Item } from '$core/items/item.ts';

  interface Props {
    item: Extract<Item, { kind: 'several' }>;
    name: string;
    value: string[] | 'unknown' | undefined;
    note?: string;
    disabled?: boolean;
    oncommit?: ((value: unknown, typed: string) => void) | undefined;
  }
  let { item, name, value, note = '', disabled = false, oncommit }: Props = $props();
  const chosen = $derived(Array.isArray(value) ? value : []);

  function toggle(word: string, on: boolean): void {
    const next = on ? [...chosen, word] : chosen.filter((w) => w !== word);
    oncommit?.(next, next.join(', '));
  }
</script>

<fieldset {disabled} class="min-w-0">
  <legend class="label-caps mb-1">{item.ask ?? item.label}</legend>
  <div class="flex flex-wrap gap-1.5">
    {#each item.options as option (option.value)}
      <label class="chip">
        <input
          type="checkbox"
          class="sr-only"
          {name}
          value={option.value}
          checked={chosen.includes(option.value)}
          onchange={oncommit ? (e) => toggle(option.value, e.currentTarget.checked) : undefined}
        />
        <span>{option.label}</span>
      </label>
    {/each}
    {#if oncommit}
      <button
        type="button"
        class="chip soft"
        aria-pressed={Array.isArray(value) && value.length === 0}
        onclick={() => oncommit([], 'none')}>none</button
      >
      <button
        type="button"
        class="chip soft"
        aria-pressed={value === 'unknown'}
        onclick={() => oncommit('unknown', 'unknown')}>unknown</button
      >
    {/if}
  </div>
  {#if note}<p class="mt-1 text-sm">{note}</p>{/if}
</fieldset>
