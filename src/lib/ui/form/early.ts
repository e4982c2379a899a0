/** An event on a field from the time before the page's scripts had taken over, as `app.html` kept it. */
interface EarlyEntry {
  readonly type: string;
  readonly field: HTMLInputElement;
  readonly value: string;
  readonly checked: boolean | undefined;
}

declare global {
  var enteredEarly: EarlyEntry[] | undefined;
  var keepEarly: ((e: Event) => void) | undefined;
}

/**
 * Taking over a page sets its fields to what the server had sent. What was typed or chosen before that is put back, and told to
 * the field's own listeners as if it were entered now, in its order. Once a page.
 */
export function replayEarly(): void {
  if (globalThis.keepEarly)
    for (const type of ['input', 'change']) removeEventListener(type, globalThis.keepEarly, true);
  for (const { type, field, value, checked } of globalThis.enteredEarly?.splice(0) ?? []) {
    if (!field.isConnected) continue;
    if (typeof checked === 'boolean') field.checked = checked;
    if (field.type !== 'file') field.value = value;
    field.dispatchEvent(new Event(type, { bubbles: true }));
  }
}
