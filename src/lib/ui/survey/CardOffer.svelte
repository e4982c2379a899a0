<script lang="ts">
  import { offerOf, type CardFile } from '$core/engine/card-file.ts';
  import { useSession } from '../session/session.svelte.ts';

  /** A card laid beside this engine: what it adds is chosen, what differs is shown and left alone unless it is asked for. */
  let { card, text, title }: { card: CardFile; text: string; title: string } = $props();
  const session = useSession();
  const id = $props.id();
  const offer = $derived(offerOf(card, session.survey.engine, session.units));
  const open = $derived(offer.entries.filter((e) => e.state !== 'same'));
  const same = $derived(offer.entries.length - open.length);
</script>

<section class="panel p-3" aria-labelledby="{id}-title">
  <h2 id="{id}-title" class="text-xl">{title}</h2>
  {#if offer.against.length}
    <p class="border-l-4 border-error pl-3 font-medium text-error">
      Of another kind of engine, so nothing of it is taken: {offer.against.join('; ')}.
    </p>
  {:else if open.length === 0}
    <p class="text-sm">It says nothing that this card does not say.</p>
  {:else}
    <form method="POST" action="?/take">
      <input type="hidden" name="card" value={text} />
      <ul class="grid gap-x-5 lg:grid-cols-2">
        {#each open as e (e.path)}
          <li class="border-t border-line">
            <label class="flex min-h-11 items-start gap-3 py-1.5">
              <input
                type="checkbox"
                class="checkbox mt-0.5"
                name="path"
                value={e.path}
                checked={e.state === 'new' && offer.model === 'same' && !e.guess}
              />
              <span class="min-w-0 break-words"
                ><strong>{e.label}</strong>: {e.said}<span class="block text-sm"
                  >{e.source}{e.own ? `. Differs: here it says ${e.own}` : ''}</span
                ></span
              >
            </label>
          </li>
        {/each}
      </ul>
      {#if offer.model !== 'same'}
        <label class="mt-2 flex min-h-11 items-center gap-3 border-l-4 border-warning pl-3"
          ><input type="checkbox" class="checkbox" name="other" value="yes" /><span
            >{offer.model === 'other'
              ? `It is the card of ${[card.maker, card.model].filter(Boolean).join(' ') || 'another model'}, not of this one: it is right for this engine all the same`
              : 'The model is not known on one of the two: it is right for this engine'}</span
          ></label
        >
      {/if}
      <button class="btn btn-primary mt-2">Take what is ticked</button>
    </form>
  {/if}
  {#if same || offer.unread.length}
    <p class="mt-1 text-sm">
      {same ? `${same} ${same === 1 ? 'entry is' : 'entries are'} the same. ` : ''}{offer.unread.length
        ? `Not read, since unknown or impossible: ${offer.unread.slice(0, 6).join(', ')}${offer.unread.length > 6 ? ` and ${offer.unread.length - 6} more` : ''}.`
        : ''}
    </p>
  {/if}
</section>
