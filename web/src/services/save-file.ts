/** A busy browser takes its time to begin reading: an address taken back too soon is a file that never comes. */
const KEPT_MS = 60_000;

/** Hands a file to the browser to keep. */
export function saveFile(name: string, content: string | Uint8Array<ArrayBuffer>, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]/g, '-');
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS);
}
