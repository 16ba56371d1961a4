import { type ArgumentsHost, Catch, type ExceptionFilter } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import 'pino-http';
import { problemOf } from './problem.ts';

/** Soon enough for a person who waits, seldom enough for a server that is just starting. */
const RETRY_AFTER_S = 5;

function answer(error: unknown, request: Request, response: Response): void {
  const problem = problemOf(error);
  if (problem.status >= 500) request.log.error({ err: error }, 'request failed');
  if (response.headersSent) return;
  if (problem.status === 503) response.setHeader('Retry-After', String(RETRY_AFTER_S));
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', ...problem, ...(request.id && { requestId: String(request.id) }) }));
}

/** Every error of a route becomes application/problem+json. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    answer(error, http.getRequest<Request>(), http.getResponse<Response>());
  }
}

/** The same for what fails before a route is found: bodies that do not parse or are too large. */
export function problemMiddleware(error: unknown, request: Request, response: Response, _next: NextFunction): void {
  answer(error, request, response);
}
