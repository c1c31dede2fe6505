/** The function behind the live events is called by what it does. */
export const name = '0014-notify-class';

export const up = `
alter function tell_class() rename to notify_class;
`;
