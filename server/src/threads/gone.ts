import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Response } from 'express';

/** A signal that ends when whoever asked has closed the connection before the answer. */
export const Gone = createParamDecorator((_data: unknown, context: ExecutionContext): AbortSignal => {
  const response = context.switchToHttp().getResponse<Response>();
  const gone = new AbortController();
  response.once('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
});
