<script lang="ts">
  import { sayDate } from '$lib/ui/marks/day.ts';
  import type { Due } from '$core/care/due.ts';
  import { format, formatDistanceToNowStrict, parseISO } from 'date-fns';
  import Shape from '../marks/Shape.svelte';

  /** One thing that falls due: the day, what it rests on, and by which rule. */
  let { due, tag, href }: { due: Due; tag?: string; href?: string } = $props();
  const shape = { overdue: 'fault', soon: 'watch', later: 'sound', unknown: 'cannot-tell' } as const;
  const day = $derived(due.day ? parseISO(due.day) : undefined);
</script>

<div class="grid grid-cols-[1.6rem_1fr] gap-x-2 border-t border-line py-2 sm:grid-cols-[1.6rem_1fr_auto]">
  <span class="pt-1"><Shape condition={shape[due.state]} size={18} word={false} /></span>
  <div>
    <p class="font-semibold">
      {#if tag}<a class="hover:underline" {href}>{tag}</a><span class="mx-1">·</span>{/if}{due.title}
    </p>
    <p class="text-sm">{due.because} <span class="opacity-80">Judged by: {due.school}.</span></p>
  </div>
  <p class="col-start-2 sm:col-start-3 sm:text-right">
    {#if day}<span class="sounding text-lg">{sayDate(day, 'd MMM yyyy')}</span>
      <span class="text-sm sm:block">{formatDistanceToNowStrict(day, { addSuffix: true })}</span>
    {:else}<span class="text-sm">no day known</span>{/if}
    {#if due.atHours !== undefined}<span class="text-sm sm:block"
        >or at {due.atHours} h{due.hoursOn ? `, about ${format(parseISO(due.hoursOn), 'MMM yyyy')}` : ''}</span
      >{/if}
  </p>
</div>
