/** Hands a text to the browser as a file to be saved. @param type its media type, `text/csv` for a table. */
export function saveAs(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
