<script lang="ts">
  import { page } from '$app/state';
  import { isHere, places } from './places.ts';

  /** The places as a list, for the menu of a narrow screen. */
  const here = $derived(page.url.pathname);
</script>

<ul class="menu w-full p-0" aria-label="Places">
  {#each places as [href, label] (href)}
    <li>
      <a {href} class="min-h-11 items-center" aria-current={isHere(href, here) ? 'page' : undefined}>{label}</a>
    </li>
  {/each}
  <li>
    <a class="min-h-11 items-center" href="/settings?back={encodeURIComponent(here + page.url.search)}">Settings</a>
  </li>
</ul>
