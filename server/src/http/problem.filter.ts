import { type ArgumentsHost, Catch, type ExceptionFilter } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import 'pino-http';
import { problemOf } from './problem.ts';

function answer(error: unknown, request: Request, response: Response): void {
  const problem = problemOf(error);
  if (problem.status >= 500) request.log.error({ err: error }, 'request failed');
  if (response.headersSent) return;
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
