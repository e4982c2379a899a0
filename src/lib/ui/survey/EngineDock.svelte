<script lang="ts">
  import { page } from '$app/state';
  import CircleDot from '@lucide/svelte/icons/circle-dot';
  import Crosshair from '@lucide/svelte/icons/crosshair';
  import ListChecks from '@lucide/svelte/icons/list-checks';
  import Waypoints from '@lucide/svelte/icons/waypoints';
  import { paneOf, type Pane } from './pane.ts';

  /** On a narrow screen the four faces of an engine, under the thumb. */
  let { base, points }: { base: string; points: number } = $props();
  const station = $derived(page.params.station);
  const path = $derived(page.url.pathname);
  const pane = $derived(station ? paneOf(page.url) : undefined);
  const check = $derived(`${base}/${station ?? 'safe'}`);
  const entries = $derived([
    { id: 'now', label: 'Now', href: `${base}/now`, on: path === `${base}/now`, icon: Crosshair },
    { id: 'check', label: 'Check', href: check, on: pane === 'check', icon: ListChecks },
    {
      id: 'findings' satisfies Pane,
      label: station && points ? `Points to (${points})` : 'Points to',
      href: station ? `${check}?pane=findings` : `${base}/suspects`,
      on: pane === 'findings' || path === `${base}/suspects`,
      icon: Waypoints
    },
    {
      id: 'engine' satisfies Pane,
      label: 'Engine',
      href: `${check}?pane=engine`,
      on: pane === 'engine',
      icon: CircleDot
    }
  ]);
</script>

<nav aria-label="Faces of this engine" class="no-print dock z-20 border-t border-line bg-base-100 lg:hidden">
  {#each entries as e (e.id)}
    {@const Icon = e.icon}
    <a
      href={e.href}
      class={e.on ? 'dock-active font-semibold' : ''}
      aria-current={e.on ? 'page' : undefined}
      data-sveltekit-replacestate={e.id !== 'now' && station ? '' : undefined}
      ><Icon size={20} aria-hidden="true" /><span class="text-sm">{e.label}</span></a
    >
  {/each}
</nav>
