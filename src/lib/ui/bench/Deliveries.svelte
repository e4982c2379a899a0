<script lang="ts">
  import { enhance } from '$app/forms';
  import type { Delivery } from '$core/schedule/deliveries.ts';

  /** What is on its way, and what nobody knows the arrival of: another day re-plans the bench. */
  interface Props {
    deliveries: readonly Delivery[];
    form: { message?: string; key?: string; typed?: string } | null;
  }
  let { deliveries, form }: Props = $props();
</script>

<section class="panel p-3" aria-labelledby="coming-title">
  <h2 id="coming-title">What is on its way</h2>
  {#if !deliveries.length}<p class="mt-1 text-sm">
      Nothing is ordered. <a class="plain-link" href="/parts">Parts order</a>
    </p>{/if}
  <ul>
    {#each deliveries as d (d.surveyId + d.key)}
      <li class="border-t border-line py-2">
        <form method="POST" action="?/delivery" use:enhance class="flex flex-wrap items-end gap-2">
          <input type="hidden" name="survey" value={d.surveyId} />
          <input type="hidden" name="key" value={d.key} />
          <p class="min-w-40 flex-1">
            <strong>{d.tag}</strong> · {d.name}<span class="block text-sm {d.open ? 'text-warning' : ''}"
              >{d.state === 'wanted' ? 'to order' : d.due ? 'ordered' : 'ordered, nobody knows for when'}</span
            >
          </p>
          <label
            ><span class="label-caps">Expected</span><input
              class="input w-40"
              type="date"
              name="due"
              value={form?.key === d.key ? form.typed : (d.due ?? '')}
              aria-label="{d.name} for {d.tag}, expected"
            /></label
          >
          <button class="btn btn-outline btn-primary">Set</button>
          <button
            class="btn btn-outline btn-primary"
            name="here"
            value="1"
            aria-label="It is here: {d.name} for {d.tag}">It is here</button
          >
        </form>
      </li>
    {/each}
  </ul>
</section>
