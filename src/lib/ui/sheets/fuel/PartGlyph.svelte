<script lang="ts">
  import type { LinePartId } from '$core/stations/fuel/line.ts';

  /** A part of the fuel line as a few strokes: seen often, it is found without reading. */
  let { id, level = 0.4 }: { id: LinePartId; level?: number } = $props();
</script>

<svg
  viewBox="0 0 56 44"
  class="h-11 w-14"
  aria-hidden="true"
  fill="none"
  stroke="currentColor"
  stroke-width="2"
  stroke-linejoin="round"
  stroke-linecap="round"
>
  {#if id === 'tank'}
    <rect x="7" y="34" width="42" height="0" stroke="none" />
    <path d="M8 {38 - 26 * level}H48V38H8Z" fill="currentColor" fill-opacity=".22" stroke="none" />
    <path d="M8 12H48V38H8ZM16 12V7H26V12" />
  {:else if id === 'vent'}
    <path d="M14 34H42V24H14ZM28 24V12M22 17L28 10L34 17" />
  {:else if id === 'pickup'}
    <path d="M28 4V30M20 30H36L33 40H23ZM21 34H35" />
  {:else if id === 'hose'}
    <path d="M2 22C14 4 22 4 28 22S42 40 54 22" stroke-width="5" stroke-opacity=".5" />
    <path d="M2 22C14 4 22 4 28 22S42 40 54 22" />
  {:else if id === 'bulb'}
    <path d="M2 22H10M46 22H54" /><ellipse cx="28" cy="22" rx="18" ry="11" /><path d="M20 20L26 22L20 24" />
  {:else if id === 'couplings'}
    <path d="M2 22H14M14 13V31H26V13ZM30 16V28H42V16ZM42 22H54M26 22H30" />
  {:else if id === 'tap'}
    <path d="M2 26H54M20 18H36V34H20ZM28 18V8M20 8H36" />
  {:else if id === 'filter'}
    <path d="M2 12H54M18 8H38V16H18ZM20 16V34Q28 40 36 34V16M24 18V32M28 18V34M32 18V32" />
  {:else if id === 'pump'}
    <path d="M2 32H16M40 32H54" /><circle cx="28" cy="26" r="13" /><path d="M17 22Q28 32 39 22M28 13V6" />
  {:else if id === 'bowl'}
    <path d="M14 10H42M16 10V26Q16 38 28 38T40 26V10M28 10V30" /><path
      d="M17 24H39V27Q38 37 28 37T17 27Z"
      fill="currentColor"
      fill-opacity=".22"
      stroke="none"
    />
  {:else}
    <path d="M8 10H48M8 34H48M28 6V38" /><path d="M18 14L38 30" stroke-width="4" />
  {/if}
</svg>
