const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** A demo lets anybody in, so that it is offered on loopback only: asked at every sign-in, not at the start alone. */
export const demoIsReachable = (): boolean =>
  LOOPBACK.includes(process.env.WAINROPE_HOST || '127.0.0.1') && !process.env.WAINROPE_PUBLIC_URL;
