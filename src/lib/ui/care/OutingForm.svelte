<script lang="ts">
  import { format } from 'date-fns';

  /** An outing written down in a minute: everything but the day may be left out. The page's own form action takes it. */
  let {
    name,
    four,
    action,
    errors = {},
    typed = {}
  }: {
    name: string;
    four: boolean;
    action: string;
    errors?: Readonly<Record<string, string>>;
    typed?: Readonly<Record<string, string>>;
  } = $props();
  const shares = [
    ['', 'not noted'],
    ['none', 'none of it'],
    ['quarter', 'a quarter'],
    ['half', 'half'],
    ['most', 'three quarters'],
    ['all', 'all of it']
  ] as const;
  const streams = [
    ['', 'not looked at'],
    ['strong', 'strong'],
    ['weak', 'weak'],
    ['none', 'none']
  ] as const;
  const waters = [
    ['', 'as usual'],
    ['salt', 'salt'],
    ['brackish', 'brackish'],
    ['fresh', 'fresh']
  ] as const;
  const flushes = [
    ['', 'not noted'],
    ['yes', 'yes'],
    ['no', 'no']
  ] as const;
</script>

{#snippet field(key: string, label: string, hint: string)}
  <div>
    <label class="block"
      ><span class="label-caps">{label}</span><input
        class="input w-full"
        name={key}
        value={typed[key] ?? ''}
        placeholder={hint}
        maxlength="40"
        autocomplete="off"
        aria-invalid={errors[key] ? 'true' : undefined}
        aria-describedby={errors[key] ? `${key}-wrong` : undefined}
      /></label
    >
    {#if errors[key]}<p id="{key}-wrong" class="font-medium text-error" role="alert">{errors[key]}</p>{/if}
  </div>
{/snippet}

{#snippet choose(key: string, label: string, options: readonly (readonly [string, string])[])}
  <label class="block"
    ><span class="label-caps">{label}</span><select class="select w-full" name={key} value={typed[key] ?? ''}>
      {#each options as [value, words] (value)}<option {value}>{words}</option>{/each}
    </select></label
  >
{/snippet}

<form method="POST" {action} class="panel space-y-3 p-3" aria-labelledby="log-title" novalidate>
  <h2 id="log-title">Write an outing down</h2>
  <input type="hidden" name="name" value={name} />
  <div class="grid grid-cols-2 gap-3">
    <div>
      <label class="block"
        ><span class="label-caps">Day</span><input
          class="input w-full"
          type="date"
          name="on"
          value={typed.on ?? format(new Date(), 'yyyy-MM-dd')}
          aria-invalid={errors.on ? 'true' : undefined}
        /></label
      >
      {#if errors.on}<p class="font-medium text-error" role="alert">{errors.on}</p>{/if}
    </div>
    {@render field('meter', 'Hour meter afterwards', '123.4')}
    {@render field('ran', 'or it ran about', '2.5 h')}
    {@render choose('idle', 'Of that idling, trolling', shares)}
    {#if four}
      {@render field('oilBefore', 'Oil before, over the low mark', '8 mm or 3/4')}
      {@render field('oilAfter', 'Oil after, settled', '8 mm or 3/4')}
      {@render field('added', 'Oil added before', '100 mL')}
    {/if}
    {@render choose('stream', 'Cooling stream', streams)}
    {@render choose('water', 'Water', waters)}
    {@render choose('flushed', 'Flushed afterwards', flushes)}
  </div>
  {#if four}
    <label class="flex min-h-11 items-center gap-2"
      ><input class="checkbox" type="checkbox" name="changed" checked={typed.changed === 'on'} />Oil was changed before
      it ran</label
    >
    <label class="flex min-h-11 items-center gap-2"
      ><input class="checkbox" type="checkbox" name="tilted" checked={typed.tilted === 'on'} />Dipped trimmed or heeled:
      the level says nothing</label
    >
  {/if}
  <label class="block"
    ><span class="label-caps">Remarks</span><textarea class="textarea w-full" name="remark" rows="2" maxlength="400"
      >{typed.remark ?? ''}</textarea
    ></label
  >
  <button class="btn btn-primary">Keep</button>
</form>
