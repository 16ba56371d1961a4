/** The channel on which servers of one database tell each other what has changed. */
export const EVENT_CHANNEL = 'wainrope_event';
