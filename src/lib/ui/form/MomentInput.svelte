<script lang="ts">
  import type { Item } from '$core/items/item.ts';
  import { lightFormat } from 'date-fns';

  interface Props {
    item: Extract<Item, { kind: 'moment' }>;
    name: string;
    value: string;
    error?: string;
    disabled?: boolean;
    oncommit?: ((value: unknown, typed: string) => void) | undefined;
  }
  let { item, name, value, error = '', disabled = false, oncommit }: Props = $props();
  const id = $derived(name.replace(/\W/g, '-'));
  const local = $derived(
    value && value !== 'unknown' && !Number.isNaN(Date.parse(value))
      ? lightFormat(new Date(value), "yyyy-MM-dd'T'HH:mm")
      : value === 'unknown'
        ? ''
        : value
  );

  function commit(text: string): void {
    const at = new Date(text);
    if (text && !Number.isNaN(at.getTime())) oncommit?.(at.toISOString(), text);
  }
</script>

<div>
  <label class="label-caps mb-1 block" for={id}>{item.ask ?? item.label}</label>
  <div class="flex gap-1.5">
    <input
      {id}
      {name}
      {disabled}
      type="datetime-local"
      class="input w-full"
      value={local}
      aria-invalid={error ? 'true' : undefined}
      aria-describedby={error ? `${id}-error` : undefined}
      onchange={oncommit ? (e) => commit(e.currentTarget.value) : undefined}
    />
    {#if oncommit}<button
        type="button"
        class="chip soft"
        aria-pressed={value === 'unknown'}
        onclick={() => oncommit('unknown', 'unknown')}>unknown</button
      >{/if}
  </div>
  {#if error}<p id="{id}-error" class="mt-1 font-medium text-error" role="alert">{error}</p>{/if}
</div>
