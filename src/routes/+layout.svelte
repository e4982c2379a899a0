<script lang="ts">
  import { replayEarly } from '$lib/ui/form/early.ts';
  import '../app.css';
  import { page } from '$app/state';
  import UnsentLine from '$lib/ui/session/UnsentLine.svelte';
  import Menu from '$lib/ui/marks/Menu.svelte';
  import PlaceList from '$lib/ui/marks/PlaceList.svelte';
  import { isHere, places } from '$lib/ui/marks/places.ts';
  import MenuIcon from '@lucide/svelte/icons/menu';
  import Settings2 from '@lucide/svelte/icons/settings-2';

  let { data, children } = $props();
  const here = $derived(page.url.pathname);
  // The root mounts last: from here on every field is heard. Says so to whoever drives the page from outside.
  $effect(() => {
    replayEarly();
    document.documentElement.dataset.live = 'yes';
  });
  /** On a narrow screen the pages of an engine bring a head of their own, of one line. */
  const ownHead = $derived(/^\/surveys\//.test(here));
  /** The door and the owner's page: nothing of the yard around them. */
  const bare = $derived(data.access === 'closed' || /^\/(door|setup|o)(\/|$)/.test(here));
  const settings = $derived(`/settings?back=${encodeURIComponent(here + page.url.search)}`);
</script>

<svelte:head>
  <title>Indaga</title>
</svelte:head>

<a href="#main" class="sr-only focus:not-sr-only focus:fixed focus:z-50 focus:bg-base-100 focus:p-3"
  >Skip to the content</a
>
<header class="no-print {ownHead ? 'max-lg:hidden' : ''}">
  <div class="mx-auto flex max-w-[1360px] items-center gap-x-3 px-3 sm:gap-x-5">
    <a href="/" class="tap font-label text-2xl font-semibold tracking-wide">Indaga</a>
    {#if !bare}
      <nav aria-label="Places" class="hidden flex-1 gap-x-1 md:flex">
        {#each places as [href, label] (href)}
          <a
            {href}
            class="tap border-b-2 px-2.5 {isHere(href, here) ? 'border-primary font-semibold' : 'border-transparent'}"
            aria-current={isHere(href, here) ? 'page' : undefined}>{label}</a
          >
        {/each}
      </nav>
    {/if}
    {#if data.demo}<span class="ml-auto badge badge-outline font-label max-sm:hidden">Demo yard</span>{/if}
    {#if !bare}
      <a class="tap gap-1.5 px-1 max-md:hidden" href={settings} aria-label="Settings: {data.prefs.who || 'no name yet'}"
        ><Settings2 size={20} aria-hidden="true" />
        <span class="max-w-32 truncate" dir="auto">{data.prefs.who || 'Settings'}</span></a
      >
      <Menu label="Places and settings" class="ml-auto md:hidden">
        {#snippet face()}<MenuIcon size={24} aria-hidden="true" />{/snippet}
        <PlaceList />
      </Menu>
    {/if}
  </div>
  <div class="neatline" aria-hidden="true"></div>
</header>
{#if !bare}<UnsentLine who={data.prefs.who} />{/if}
<main id="main" class="mx-auto max-w-[1360px] px-3 py-3">{@render children()}</main>
{#if data.demo}<footer class="no-print bg-base-200 px-3 py-1 text-center text-sm">
    Demo yard: every engine, maker and person here is made up. It has a database of its own.
  </footer>{/if}
