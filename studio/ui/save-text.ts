/** How long the browser may take to have it, in ms. */
const keptMs = 10_000;

/** Hands text to the browser as a JSON file to be kept. */
export function saveText(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), keptMs);
}

/** What something is called, as the beginning of a file's name. */
export const fileNameOf = (title: string): string =>
  title
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase();
