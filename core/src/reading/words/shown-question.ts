/** What is asked where the reading itself is wanted; of a tool that is known to be off, without a correction. */
export function shownQuestion(tool: string, { zeroError = 0 }: { readonly zeroError?: number }): string {
  return zeroError === 0 ? `What does the ${tool} show?` : `What does the ${tool} show? Do not correct the reading.`;
}
