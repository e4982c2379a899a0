<script lang="ts">
  import type { Item } from '$core/items/item.ts';
  import type { System } from '$core/units/index.ts';
  import ChoiceInput from './ChoiceInput.svelte';
  import MomentInput from './MomentInput.svelte';
  import SeveralInput from './SeveralInput.svelte';
  import TypedInput from './TypedInput.svelte';

  /**
   * The field that follows from an item's definition. With `oncommit` it saves itself; without, it is a plain
   * part of a form and posts under its name.
   */
  interface Props {
    item: Item;
    name: string;
    value?: unknown;
    typed?: string;
    units: System;
    error?: string;
    note?: string;
    draftKey?: string;
    disabled?: boolean;
    /** A cell of a table: the column says what it is, the label is for those who listen. */
    compact?: boolean;
    oncommit?: (value: unknown, typed: string) => void;
    onpreview?: (value: unknown) => void;
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
</script>

{#if item.kind === 'choice'}
  <ChoiceInput
    {item}
    {name}
    value={typeof value === 'string' ? value : (typed ?? '')}
    {error}
    {note}
    {disabled}
    {compact}
    {oncommit}
  />
{:else if item.kind === 'several'}
  <SeveralInput
    {item}
    {name}
    value={Array.isArray(value) || value === 'unknown' ? (value as string[] | 'unknown') : typed?.split(', ')}
    {note}
    {disabled}
    {oncommit}
  />
{:else if item.kind === 'moment'}
  <MomentInput {item} {name} value={typeof value === 'string' ? value : (typed ?? '')} {error} {disabled} {oncommit} />
{:else if item.kind !== 'photo' && item.kind !== 'log'}
  <TypedInput
    {item}
    {name}
    {value}
    {typed}
    {units}
    {error}
    {note}
    {draftKey}
    {disabled}
    {compact}
    {oncommit}
    {onpreview}
  />
{/if}
