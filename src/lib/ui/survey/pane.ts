/** The faces of a check on a narrow screen; a wide one shows all three. Part of the address, so that links reach them. */
export type Pane = 'check' | 'engine' | 'findings';

export function paneOf(url: URL): Pane {
  const asked = url.searchParams.get('pane');
  return asked === 'engine' || asked === 'findings' ? asked : 'check';
}
