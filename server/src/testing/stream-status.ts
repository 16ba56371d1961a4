import type supertest from 'supertest';

/** A stream never ends: its status is read as soon as it begins. */
export function streamStatus(request: supertest.Test): Promise<number> {
  return new Promise((done) => {
    request.buffer(false).parse((response, callback) => {
      done((response as unknown as { statusCode: number }).statusCode);
      callback(null, undefined);
      (response as unknown as { destroy: () => void }).destroy();
    });
    request.end(() => undefined);
  });
}
