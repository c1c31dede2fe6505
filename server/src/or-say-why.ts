/** Ends the process with a message when its work fails. */
export function orSayWhy(work: Promise<void>): void {
  work.catch((error: unknown) => {
    process.stderr.write(`Green Beam could not start: ${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  });
}
