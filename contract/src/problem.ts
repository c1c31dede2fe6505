/** What every refused request answers with. */
export interface Problem {
  /** For the person at the screen: what was wrong and what to do next. */
  readonly message: string;
  /** The field of the request that was wrong, where one was. */
  readonly field: string | null;
  /** Set when the token sent along is no longer the session's; a fresh one comes with the session. */
  readonly staleToken?: true;
}
