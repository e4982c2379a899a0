<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import { options } from '$core/record/options.ts';

  import { useSession } from '../session/session.svelte.ts';

  /** On whose word the work goes on. */
  const session = $derived(useSession());
  const base = $derived(`/surveys/${session.surveyId}`);
  const last = $derived((session.survey.decisions ?? []).at(-1));
</script>

<section class="panel mt-3 p-3" aria-labelledby="word-title">
  <h2 id="word-title">The owner’s word</h2>
  {#if last}
    <p class="mt-1"><strong>{options[last.option].label}</strong>: {last.reason}</p>
    {#if last.authority}<blockquote class="mt-1 border-l-2 border-line pl-2" dir="auto">“{last.authority}”</blockquote>
    {:else}<p class="mt-1 text-sm text-warning">No answer of the owner is written down with it.</p>{/if}
    <p class="mt-1 text-sm">{last.by ? `${last.by}, ` : ''}{sayDate(last.at, 'd MMM yyyy HH:mm')}</p>
  {:else}
    <p class="mt-1 text-sm">Nothing is decided yet; nobody has been asked.</p>
  {/if}
  <p class="mt-2">
    <a class="btn btn-outline btn-primary w-full" href="{base}/suspects#worth-title"
      >{last ? 'Ask again, or decide anew' : 'The question in one paragraph'}</a
    >
  </p>
</section>
