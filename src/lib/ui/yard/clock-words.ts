/** Hours left of a clock, or past it, as they stand beside it. */
export function clockWords(hours: number): string {
  const h = Math.abs(hours);
  const said =
    h < 1
      ? `${Math.round(h * 60)} min`
      : h < 48
        ? `${Math.floor(h)} h ${Math.floor((h % 1) * 60)} min`
        : `${Math.round(h / 24)} days`;
  return hours > 0 ? `${said} left` : `${said} past`;
}
