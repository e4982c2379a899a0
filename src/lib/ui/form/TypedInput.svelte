<script lang="ts">
  import { checkEntry, sayValue } from '$core/items/check-entry.ts';
  import { exampleFor } from '$core/items/example.ts';
  import type { Item } from '$core/items/item.ts';
  import { type System } from '$core/units/index.ts';
  import { onMount } from 'svelte';
  import { clearDraft, readDraft, writeDraft } from './drafts.ts';

  interface Props {
    item: Extract<Item, { kind: 'quantity' | 'text' | 'series' }>;
    name: string;
    value?: unknown;
    typed?: string | undefined;
    units: System;
    error?: string;
    note?: string;
    draftKey?: string | undefined;
    disabled?: boolean;
    compact?: boolean;
    oncommit?: ((value: unknown, typed: string) => void) | undefined;
    onpreview?: ((value: unknown) => void) | undefined;
  }
  let {
    item,
    name,
    value,
    typed,
    units,
    error = '',
    note = '',
    draftKey,
    disabled = false,
    compact = false,
    oncommit,
    onpreview
  }: Props = $props();

  const id = $derived(name.replace(/\W/g, '-'));
  const shown = $derived(
    value === undefined || value === 'unknown'
      ? (typed ?? '')
      : item.kind === 'text'
        ? String(value)
        : sayValue(item, value, units)
  );
  /** What is being typed and not yet saved; nothing while the field rests. */
  let draft = $state<string>();
  let complaint = $state('');
  const problem = $derived(complaint || error);
  const long = $derived(item.kind === 'text' && item.long);

  onMount(() => {
    const kept = draftKey ? readDraft(draftKey) : undefined;
    if (kept !== undefined) {
      draft = kept;
      oninput(kept);
    }
  });

  function oninput(text: string): void {
    draft = text;
    if (draftKey) writeDraft(draftKey, text);
    if (!oncommit) return;
    const checked = text.trim() === '' ? undefined : checkEntry(item, text, units);
    if (complaint && (!checked || checked.ok)) complaint = '';
    onpreview?.(checked?.ok ? checked.value : undefined);
  }

  function commit(text: string): void {
    if (draft === undefined || !oncommit) return;
    if (text.trim() === '' && item.kind !== 'text') {
      forget();
      return;
    }
    const checked = checkEntry(item, text, units);
    if (!checked.ok) {
      complaint = checked.message;
      return;
    }
    oncommit(checked.value, text.trim());
    forget();
  }

  function forget(): void {
    draft = undefined;
    complaint = '';
    if (draftKey) clearDraft(draftKey);
    onpreview?.(undefined);
  }

  function unknown(): void {
    forget();
    oncommit?.('unknown', 'unknown');
  }

  const shared = $derived({
    id,
    name,
    disabled,
    class: long ? 'textarea w-full' : 'input w-full',
    dir: item.kind === 'text' ? ('auto' as const) : undefined,
    'aria-invalid': problem ? ('true' as const) : undefined,
    'aria-describedby': problem ? `${id}-error` : undefined,
    autocomplete: 'off' as const
  });
</script>

<div class="min-w-0">
  <label class={compact ? 'sr-only' : 'label-caps mb-1 block'} for={id}>{item.ask ?? item.label}</label>
  <div class="flex gap-1.5">
    {#if long}
      <textarea
        {...shared}
        rows="3"
        value={draft ?? shown}
        oninput={(e) => oninput(e.currentTarget.value)}
        onchange={(e) => commit(e.currentTarget.value)}></textarea>
    {:else}
      <input
        {...shared}
        type="text"
        inputmode={item.kind === 'quantity' && item.dimension !== 'mixture' ? 'decimal' : 'text'}
        placeholder={exampleFor(item, units)}
        value={draft ?? shown}
        oninput={(e) => oninput(e.currentTarget.value)}
        onchange={(e) => commit(e.currentTarget.value)}
      />
    {/if}
    {#if oncommit && item.kind === 'quantity' && !compact}
      <button
        type="button"
        class="chip soft"
        aria-pressed={value === 'unknown'}
        aria-label="{item.label}: unknown"
        {disabled}
        onclick={unknown}>unknown</button
      >
    {/if}
  </div>
  {#if note}<p class="mt-1 text-sm">{note}</p>{/if}
  {#if problem}<p id="{id}-error" class="mt-1 font-medium text-error" role="alert">{problem}</p>{/if}
</div>
