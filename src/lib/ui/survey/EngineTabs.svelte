<script lang="ts">
  import { page } from '$app/state';

  /** The views of one engine. */
  let { base, engine, drowned = false }: { base: string; engine: string; drowned?: boolean } = $props();
  const tabs = $derived([
    [base, 'Checks'],
    ...(drowned ? ([[`${base}/drowned`, 'Drowned']] as const) : []),
    [`${base}/suspects`, 'Suspects'],
    [`${base}/jobs`, 'Job list'],
    [`${base}/tray`, 'Tray'],
    [`${base}/ready`, 'Ready for service'],
    [engine, 'Engine']
  ] as const);
  const current = (href: string): boolean =>
    href === base
      ? /\/surveys\/[^/]+(\/(?!jobs|tray|flow|suspects|ready|record|drowned|labels)[a-z]+)?$/.test(page.url.pathname)
      : page.url.pathname === href;
</script>

<nav aria-label="This engine" class="flex flex-wrap">
  {#each tabs as [href, label] (href)}
    <a
      {href}
      class="tap border-b-2 px-2.5 {current(href) ? 'border-primary font-semibold' : 'border-transparent'}"
      aria-current={current(href) ? 'page' : undefined}>{label}</a
    >
  {/each}
</nav>
