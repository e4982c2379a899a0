<script lang="ts">
  import { page } from '$app/state';

  /** The views of one engine, side by side or as the list of a menu. */
  let {
    base,
    engine,
    drowned = false,
    list = false
  }: { base: string; engine: string; drowned?: boolean; list?: boolean } = $props();
  const tabs = $derived([
    [`${base}/now`, 'Now'],
    [`${base}/${page.params.station ?? 'safe'}`, 'Checks'],
    ...(drowned ? ([[`${base}/drowned`, 'Drowned']] as const) : []),
    [`${base}/suspects`, 'Suspects'],
    [`${base}/jobs`, 'Job list'],
    [`${base}/tray`, 'Tray'],
    [`${base}/ready`, 'Ready for service'],
    [engine, 'Engine']
  ] as const);
  const current = (href: string): boolean => page.url.pathname === href;
</script>

<nav aria-label="This engine">
  <ul class={list ? 'menu w-full p-0' : 'flex flex-wrap'}>
    {#each tabs as [href, label] (label)}
      <li>
        <a
          {href}
          class={list
            ? 'min-h-11 items-center'
            : `tap border-b-2 px-2 ${current(href) ? 'border-primary font-semibold' : 'border-transparent'}`}
          aria-current={current(href) ? 'page' : undefined}>{label}</a
        >
      </li>
    {/each}
  </ul>
</nav>
