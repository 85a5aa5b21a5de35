/** Types into a field by its label as a maker does, and waits until the page has taken it. */
export async function type(
  page: HTMLElement,
  label: string,
  text: string,
  settled: () => Promise<unknown>,
): Promise<void> {
  const field = [...page.querySelectorAll('label')].find((l) => l.textContent?.trim() === label);
  const input = field && page.querySelector<HTMLInputElement>(`#${field.htmlFor}`);
  if (!input)
    throw new Error(
      `no field “${label}” among ${[...page.querySelectorAll('label')].map((l) => l.textContent).join(' | ')}`,
    );
  input.value = text;
  input.dispatchEvent(new Event('input'));
  input.dispatchEvent(new Event('change'));
  await settled();
}
