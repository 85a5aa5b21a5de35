/** Picks out of a list as a maker does: the field by its label, then one of what it offers. */
export async function pick(
  page: HTMLElement,
  label: string,
  name: string,
  settled: () => Promise<unknown>,
): Promise<void> {
  const box = page.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`);
  if (!box) throw new Error(`nothing to pick “${label}” from`);
  box.click();
  await settled();
  const offered = [...document.querySelectorAll<HTMLElement>('mat-option')];
  const found = offered.find((o) => o.textContent.trim() === name);
  if (!found) throw new Error(`no “${name}” among ${offered.map((o) => o.textContent).join(' | ')}`);
  found.click();
  await settled();
}
