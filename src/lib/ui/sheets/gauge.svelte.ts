import type { Instrument } from '$core/record/reading.ts';
import { onMount, untrack } from 'svelte';
import { readDraft, writeDraft } from '../form/drafts.ts';

type Listed = readonly { readonly id: string; readonly instrument: Instrument }[];

/** The gauge in hand: picked once and kept in this browser; the first on the list until then. */
export class GaugeInHand {
  id = $state('');

  constructor(private readonly gauges: () => Listed) {
    this.id = untrack(gauges)[0]?.id ?? '';
    onMount(() => {
      const picked = readDraft('instrument');
      if (picked !== undefined && (picked === '' || gauges().some((i) => i.id === picked))) this.id = picked;
    });
  }

  get instrument(): Instrument | undefined {
    return this.gauges().find((i) => i.id === this.id)?.instrument;
  }

  pick(id: string): void {
    this.id = id;
    writeDraft('instrument', id);
  }
}

/** Compression gauges have no restrictor; leak-down testers have one. */
export const gaugesOf = (list: Listed): Listed => list.filter((i) => i.instrument.restrictor === undefined);
export const testersOf = (list: Listed): Listed => list.filter((i) => i.instrument.restrictor !== undefined);
