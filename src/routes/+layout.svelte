<script lang="ts">
  import '../app.css';
  import barlow from '@fontsource/barlow/files/barlow-latin-400-normal.woff2?url';
  import barlowMedium from '@fontsource/barlow/files/barlow-latin-500-normal.woff2?url';
  import barlowBold from '@fontsource/barlow/files/barlow-latin-600-normal.woff2?url';
  import condensed from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff2?url';
  import { page } from '$app/state';
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';

  let { data, children } = $props();
  const places = [
    ['/', 'Yard', 'Yard'],
    ['/bench', 'Bench', 'Bench'],
    ['/care', 'Care', 'Care'],
    ['/engines/new', 'Take in an engine', 'Take in'],
    ['/practice', 'Practice', 'Practice'],
    ['/reference', 'Reference', 'Reference']
  ] as const;
  const here = $derived(page.url.pathname);
  // The root mounts last: from here on every field is heard. Says so to whoever drives the page from outside.
  $effect(() => void (document.documentElement.dataset.live = 'yes'));
  const current = (href: string): boolean => (href === '/' ? here === '/' : here.startsWith(href));
</script>

<svelte:head>
  <title>Indaga</title>
  {#each [barlow, barlowMedium, barlowBold, condensed] as href (href)}<link
      rel="preload"
      as="font"
      type="font/woff2"
      crossorigin="anonymous"
      {href}
    />{/each}
</svelte:head>

<a href="#main" class="sr-only focus:not-sr-only focus:fixed focus:z-50 focus:bg-base-100 focus:p-3"
  >Skip to the content</a
>
<header class="no-print">
  <div class="mx-auto flex max-w-[1360px] flex-wrap items-center gap-x-3 px-3 py-1 sm:gap-x-5">
    <a href="/" class="tap font-label text-2xl font-semibold tracking-wide">Indaga</a>
    <nav aria-label="Places" class="flex w-full flex-wrap gap-x-0.5 sm:w-auto sm:flex-1 sm:gap-x-1">
      {#each places as [href, label, short] (href)}
        <a
          {href}
          class="tap border-b-2 px-1 sm:px-2.5 {current(href) ? 'border-primary font-semibold' : 'border-transparent'}"
          aria-current={current(href) ? 'page' : undefined}
          ><span class="hidden sm:inline">{label}</span><span class="sm:hidden">{short}</span></a
        >
      {/each}
    </nav>
    <form method="POST" action="/preferences" class="flex items-center gap-2">
      <input type="hidden" name="back" value={here + page.url.search} />
      <!-- First, so that Enter in the name field saves the name and changes nothing else. -->
      <button class="sr-only focus:not-sr-only">Save name</button>
      <label class="flex items-center gap-1.5 text-sm"
        ><span class="hidden sm:inline">Who</span><span class="sr-only sm:hidden">Who is working</span>
        <input class="field w-20 sm:w-24" name="who" value={data.prefs.who} placeholder="name" maxlength="80" /></label
      >
      <button
        class="tap px-2 font-semibold"
        name="units"
        value={data.prefs.units === 'us' ? 'metric' : 'us'}
        aria-label="Units: {data.prefs.units === 'us' ? 'US' : 'metric'}. Change."
        >{data.prefs.units === 'us' ? 'psi' : 'bar'}</button
      >
      <button
        class="tap px-2"
        name="theme"
        value={data.prefs.theme === 'chart' ? 'night' : 'chart'}
        aria-label="Theme: {data.prefs.theme === 'chart' ? 'Chart' : 'Night watch'}. Change."
      >
        {#if data.prefs.theme === 'chart'}<Moon size={20} aria-hidden="true" />{:else}<Sun
            size={20}
            aria-hidden="true"
          />{/if}
      </button>
    </form>
  </div>
  <div class="neatline" aria-hidden="true"></div>
  {#if data.demo}<p class="bg-base-200 px-3 py-1 text-center text-sm">
      Demo yard: every engine, maker and person here is made up. It has a database of its own.
    </p>{/if}
</header>
<main id="main" class="mx-auto max-w-[1360px] px-3 py-3">{@render children()}</main>
