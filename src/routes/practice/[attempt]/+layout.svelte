<script lang="ts">
  import { page } from '$app/state';
  import { sayMinutes } from '$lib/ui/practice/words.ts';

  /** What every page of an exercise shows: that it is one, what it took so far, and how to end it. */
  let { data, children } = $props();
  const a = $derived(data.attempt);
  const base = $derived(`/practice/${a.id}`);
  const current = $derived(page.url.pathname.slice(base.length + 1).split('/')[0]);
</script>

<div
  class="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-y-4 border-dashed border-primary py-2"
>
  <div class="min-w-0 flex-1 basis-96">
    <p class="label-caps">Practice: a made-up engine</p>
    <h1 class="text-2xl leading-tight">{a.title}</h1>
    <p class="text-sm">{a.told}</p>
    <dl class="flex flex-wrap gap-x-4 text-sm">
      {#each a.intake as { label, value } (label)}<div class="flex gap-1">
          <dt class="label-caps">{label}</dt>
          <dd>{value}</dd>
        </div>{/each}
    </dl>
  </div>
  <dl class="flex gap-5 text-right tabular-nums">
    <div>
      <dt class="label-caps">Hands</dt>
      <dd class="sounding text-xl">{sayMinutes(a.minutes)}</dd>
    </div>
    <div>
      <dt class="label-caps">Spent</dt>
      <dd class="sounding text-xl">{Math.round(a.money)} cr</dd>
    </div>
    {#if a.mode === 'on-demand'}<div>
        <dt class="label-caps">Asked</dt>
        <dd class="sounding text-xl">{a.asked}</dd>
      </div>{/if}
  </dl>
  <nav aria-label="Exercise" class="flex gap-2">
    {#if current === 'statement' || current === 'debrief'}<a class="btn btn-outline btn-primary" href="{base}/safe"
        >{a.over ? 'The engine' : 'Back to the engine'}</a
      >{/if}
    {#if a.over && current !== 'debrief'}<a class="btn btn-primary" href="{base}/debrief">Debrief</a>
    {:else if !a.over && current !== 'statement'}<a class="btn btn-primary" href="{base}/statement">I know enough</a
      >{/if}
    <a class="btn btn-outline btn-primary" href="/practice">All exercises</a>
  </nav>
</div>
{@render children()}
