/** The day on which the server's tests stand: the demo's own base date. */
export const TODAY = '2026-01-15';
