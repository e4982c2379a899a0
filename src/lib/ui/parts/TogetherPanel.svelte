<script lang="ts">
  import type { Together } from '$core/parts/together.ts';

  /** What many engines take together of what is sold by the bottle or the set, and what each way of buying it costs. */
  interface Props {
    list: readonly Together[];
    /** Everything that is sold so, for a pack that is added. */
    supplies: readonly { readonly id: string; readonly label: string; readonly holds: string }[];
    form: { readonly typed?: Record<string, string>; readonly errors?: Record<string, string> } | null;
    /** The form for a new pack stands open. */
    adding: boolean;
    addLink: string;
  }
  let { list, supplies, form, adding, addLink }: Props = $props();
  const value = (key: string): string => form?.typed?.[key] ?? '';
  const wrong = (key: string): string => form?.errors?.[key] ?? '';
  const engines = (n: number): string => `${n} ${n === 1 ? 'engine' : 'engines'}`;
  const whose = (t: Together): string =>
    [
      t.engines ? engines(t.engines) : '',
      t.unknown ? `how much ${engines(t.unknown)} take${t.unknown === 1 ? 's' : ''} is not entered` : ''
    ]
      .filter(Boolean)
      .join('; ');
  const picked = $derived(supplies.find((s) => s.id === value('supply')) ?? supplies[0]);
</script>

{#snippet field(key: string, label: string, hint: string)}
  <div>
    <label class="block"
      ><span class="label-caps">{label}</span><input
        class="input w-full"
        name={key}
        value={value(key)}
        maxlength="60"
        placeholder={hint}
        aria-invalid={wrong(key) ? 'true' : undefined}
      /></label
    >
    {#if wrong(key)}<p class="font-medium text-error" role="alert">{wrong(key)}</p>{/if}
  </div>
{/snippet}

<section class="panel mb-5 p-3" aria-labelledby="together">
  <h2 id="together">Together</h2>
  {#if !list.length}
    <p class="text-sm">No open job takes oil, washers, plugs or filters.</p>
  {/if}
  <div class="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
    {#each list as t (t.supply)}
      <div class="border-t border-line py-1.5">
        <h3 class="flex flex-wrap items-baseline justify-between gap-x-4 text-base">
          <span class="first-letter:uppercase">{t.label} <span class="sounding text-lg">{t.amount ?? '?'}</span></span>
          <span class="text-sm font-normal">{whose(t)}</span>
        </h3>
        {#if t.best}<p class="font-semibold">→ {t.best}</p>{/if}
        {#if t.packs.length}
          <details>
            <summary class="plain-link tap cursor-pointer text-sm">Each way of buying {t.label}</summary>
            <table class="w-full text-sm">
              <caption class="sr-only">Each way of buying {t.label}</caption>
              <tbody>
                {#each t.packs as p (p.index)}
                  <tr class="border-t border-line/60">
                    <th scope="row" class="py-0.5 pr-3 text-left font-normal"
                      >{p.way ? `${p.way.count} × ` : ''}{p.said}</th
                    >
                    <td class="pr-3 text-right whitespace-nowrap">{p.way?.price ?? ''}</td>
                    <td class="hidden pr-3 text-right whitespace-nowrap sm:table-cell">{p.each}</td>
                    <td class="hidden pr-3 text-right 2xl:table-cell">{p.way?.over ?? ''}</td>
                    <td class="no-print w-px">
                      <form method="POST" action="?/noPack">
                        <input type="hidden" name="pack" value={p.said} />
                        <input type="hidden" name="index" value={p.index} />
                        <button
                          class="plain-link tap px-1 whitespace-nowrap"
                          aria-label="{t.label}, {p.said}: not sold any more">Take off</button
                        >
                      </form>
                    </td>
                  </tr>
                {/each}
              </tbody>
            </table>
          </details>
        {:else}
          <p class="text-sm">Nobody has written down how it is sold.</p>
        {/if}
      </div>
    {/each}
  </div>
  {#if adding}
    <form method="POST" action="?/pack" class="no-print mt-2 space-y-2 border-t border-line pt-2">
      <div class="grid items-start gap-2 sm:grid-cols-[12rem_1fr_8rem_8rem_1fr_auto]">
        <label class="block"
          ><span class="label-caps">What</span><select class="select w-full" name="supply" value={picked?.id}>
            {#each supplies as s (s.id)}<option value={s.id}>{s.label}</option>{/each}
          </select></label
        >
        {@render field('called', 'Sold as', 'bottle')}
        {@render field('holds', 'Holds', picked?.holds ?? '')}
        {@render field('price', 'Price, cr', '22')}
        {@render field('from', 'From', 'the chandler')}
        <button class="btn btn-primary sm:mt-5">Keep</button>
      </div>
    </form>
  {:else}
    <p class="no-print"><a class="plain-link tap text-sm" href={addLink}>Write down how something is sold</a></p>
  {/if}
</section>
