/** The file chosen in an input, which is then empty again: the same file can be chosen once more. */
export function chosenFile(event: Event): File | null {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0] ?? null;
  input.value = '';
  return file;
}
