/** An address to go back to, of this application only; its front page for any other. */
export const inside = (to: string | null | undefined): string =>
  to && /^\/(?![/\\])/.test(to) && !/[\r\n]/.test(to) ? to : '/';
