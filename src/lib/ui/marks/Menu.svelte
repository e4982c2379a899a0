<script lang="ts">
  import { onMount, type Snippet } from 'svelte';

  /** A list that opens under its button: closed again by a choice, by Escape, and by a tap beside it. Works without scripts. */
  interface Props {
    label: string;
    /** What stands on the button. */
    face: Snippet;
    children: Snippet;
    class?: string;
  }
  let { label, face, children, class: classes = '' }: Props = $props();
  let open = $state(false);
  /** Without scripts the list is there from the start; with them only while it is open. */
  let live = $state(false);
  onMount(() => void (live = true));
  let box: HTMLDetailsElement;

  function beside(e: Event): void {
    if (open && !box.contains(e.target as Node)) open = false;
  }
  function onkeydown(e: KeyboardEvent): void {
    if (!open || e.key !== 'Escape') return;
    open = false;
    box.querySelector('summary')?.focus();
  }
  /** A link or a button in the list is a choice; a form that folds out is not. */
  function chosen(e: Event): void {
    if ((e.target as Element).closest('a, button[data-close]')) open = false;
  }
</script>

<svelte:window onpointerdown={beside} {onkeydown} />
<details bind:this={box} bind:open class="dropdown dropdown-end {classes}">
  <summary
    class="btn min-h-11 list-none border-transparent bg-transparent px-2 font-normal shadow-none"
    aria-label={label}>{@render face()}</summary
  >
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <div
    class="dropdown-content z-40 mt-1 w-64 max-w-[92vw] border border-line bg-base-100 p-1 shadow-lg"
    onclick={chosen}
  >
    {#if open || !live}{@render children()}{/if}
  </div>
</details>
