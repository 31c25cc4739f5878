/** Hands a text to the person as a file. */
export function save(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser reads it after the click has been handled.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
