/** Where this tab keeps what the server has answered. */
export const KEPT_ANSWERS = 'green-beam answers';
