/** What an open dialog says, and a press on one of its buttons; false where there is none with these words. */
export const dialogText = (): string => document.querySelector('mat-dialog-container')?.textContent ?? '';
export function pressInDialog(words: string): boolean {
  const button = [...document.querySelectorAll<HTMLButtonElement>('mat-dialog-container button')].find(
    (b) => b.textContent.trim() === words,
  );
  button?.click();
  return button !== undefined;
}
