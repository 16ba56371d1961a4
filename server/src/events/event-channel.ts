/** The channel on which servers of one database tell each other what has changed. */
export const EVENT_CHANNEL = 'wainrope_event';

/** The channel on which they tell each other that sessions have ended. */
export const SESSION_CHANNEL = 'wainrope_session';

/** One session by its id, or all of an account, except perhaps one. */
export type EndedSessions = { readonly sid: string } | { readonly accountId: string; readonly except?: string };
