/** Hands a text to the browser as a file to be saved. */
export function saveFile(name: string, type: string, text: string): void {
  saveBlob(name, new Blob([text], { type }));
}
/** The same of a file that was made elsewhere. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A title as the name of a file: its letters and figures, joined by dashes. */
export function fileNameOf(title: string, otherwise: string): string {
  return title.replaceAll(/[^\p{L}\p{N}]+/gu, '-').replaceAll(/^-|-$/g, '') || otherwise;
}
