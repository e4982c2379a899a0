<script lang="ts">
  import { allItems } from '$core/stations/items.ts';
  import type { Item } from '$core/items/item.ts';
  import Shape from '../../marks/Shape.svelte';
  import { useSession } from '../../session/session.svelte.ts';

  /** A cut through the gear case for the soapy-water hunt: every place where it can leak, tapped where it bubbles. */
  const session = useSession();
  const item = allItems['gear.caseBubbles'] as Extract<Item, { kind: 'several' }>;
  const value = $derived(session.current('gear.caseBubbles')?.value);
  const at = $derived(Array.isArray(value) ? (value as string[]) : []);
  const shift = $derived(session.survey.engine.profile.shift !== 'direct');
  const spots: Record<string, readonly [x: number, y: number]> = {
    driveshaft: [196, 66],
    cover: [150, 40],
    shift: [110, 84],
    housing: [62, 150],
    plugs: [118, 214],
    carrier: [262, 176],
    propshaft: [316, 150]
  };
  const toggle = (place: string): void =>
    session.read('gear.caseBubbles', at.includes(place) ? at.filter((x) => x !== place) : [...at, place]);
</script>

<p class="label-caps">Soapy water: brush each place, turn both shafts, tap where it bubbles</p>
<div class="relative mx-auto mt-1 max-w-md">
  <svg
    viewBox="0 0 360 250"
    class="w-full"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    stroke-width="2"
    stroke-linejoin="round"
  >
    <path
      d="M92 40H214V92Q268 96 272 122V178Q262 204 196 206L150 240Q120 244 116 226L112 206Q60 204 34 168Q30 150 40 138Q66 108 92 98Z"
      fill="var(--color-base-200)"
    />
    <path d="M182 2V150" stroke-width="9" stroke-opacity=".45" />
    <path d="M182 2V136" />
    <path d="M110 20V128" stroke-width="5" stroke-opacity=".45" />
    <path d="M80 151H346" stroke-width="10" stroke-opacity=".45" />
    <path
      d="M164 118L200 118L192 140H172ZM152 128L164 122V180L152 174ZM212 128L200 122V180L212 174Z"
      fill="var(--color-base-100)"
    />
    <path d="M232 122V180H270M248 122V140M248 162V180" />
    <path d="M168 54H196V78H168ZM102 74H118V92H102ZM296 138H308V164H296Z" fill="var(--color-base-100)" />
    <path d="M92 40H214" stroke-width="4" />
    <path d="M106 208v12h14v-12M76 176v12h12v-12" />
  </svg>
  {#each item.options.filter((o) => shift || o.value !== 'shift') as o (o.value)}
    {@const [x, y] = spots[o.value] ?? [20, 20]}
    <button
      type="button"
      class="absolute inline-flex h-11 w-11 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 {at.includes(
        o.value
      )
        ? 'border-error bg-error text-error-content'
        : 'border-base-content bg-base-100/80'}"
      style:left="{(x / 360) * 100}%"
      style:top="{(y / 250) * 100}%"
      aria-label="{o.label}: {at.includes(o.value) ? 'bubbles' : 'no bubbles noted'}"
      aria-pressed={at.includes(o.value)}
      onclick={() => toggle(o.value)}
      ><Shape condition={at.includes(o.value) ? 'fault' : Array.isArray(value) ? 'sound' : 'not-looked-at'} /></button
    >
  {/each}
</div>
<ul class="mt-1 flex flex-wrap gap-1.5" aria-label="Places on the case">
  {#each item.options.filter((o) => shift || o.value !== 'shift') as o (o.value)}
    <li>
      <button type="button" class="chip" aria-pressed={at.includes(o.value)} onclick={() => toggle(o.value)}
        >{o.label}</button
      >
    </li>
  {/each}
  <li>
    <button
      type="button"
      class="chip soft"
      aria-pressed={Array.isArray(value) && !at.length}
      onclick={() => session.read('gear.caseBubbles', [])}>looked, none</button
    >
  </li>
</ul>
