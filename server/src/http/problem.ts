import { HttpException } from '@nestjs/common';
import type { Problem } from '@wainrope/contract';
import { databaseProblem } from './database-problem.ts';

export interface FieldFault {
  readonly path: string;
  readonly message: string;
}

/** An answer the caller can act on. Everything else that is thrown is a programmer's fault and answers 500 without detail. */
export class ProblemException extends HttpException {
  constructor(readonly problem: Omit<Problem, 'type'>) {
    super(problem, problem.status);
  }
}

export const notFound = (what: string, id: string) =>
  new ProblemException({ status: 404, title: 'Not found', detail: `No ${what} has the id ${id}.` });

/** So many faults are enough to see what is wrong. */
const FAULTS_SHOWN = 100;

export function invalid(faults: readonly FieldFault[], detail = 'Some fields cannot be accepted.'): ProblemException {
  const more = faults.length - FAULTS_SHOWN;
  const told = more > 0 ? `${detail} The first ${FAULTS_SHOWN} of ${faults.length} faults are listed.` : detail;
  return new ProblemException({ status: 422, title: 'Not accepted', detail: told, faults: faults.slice(0, FAULTS_SHOWN) });
}

export const conflict = (detail: string, current: unknown) =>
  new ProblemException({ status: 409, title: 'Changed by somebody else', detail, current });

interface HttpLike {
  readonly status?: number;
  readonly statusCode?: number;
  readonly type?: string;
  readonly message?: string;
}

/** Words for what the HTTP layer itself refuses, by status. */
const TRANSPORT: { readonly [status: number]: { readonly title: string; readonly detail: string } } = {
  400: { title: 'Not understood', detail: 'The request is not well-formed JSON.' },
  404: { title: 'Not found', detail: 'There is nothing at this address.' },
  405: { title: 'Not allowed', detail: 'This address does not take that method.' },
  413: { title: 'Too large', detail: 'The request is larger than this address takes.' },
  415: { title: 'Wrong content type', detail: 'Send application/json.' },
};

/** Any error as a problem document. */
export function problemOf(error: unknown): Omit<Problem, 'type'> {
  if (error instanceof ProblemException) return error.problem;
  const ofDatabase = databaseProblem(error);
  if (ofDatabase) return ofDatabase;
  const status = error instanceof HttpException ? error.getStatus() : httpStatus(error as HttpLike);
  const words = error instanceof HttpException && status === 400 ? { title: 'Not accepted', detail: error.message } : TRANSPORT[status];
  if (words) return { status, ...words };
  if (status < 500)
    return { status, title: 'Not accepted', detail: error instanceof Error ? error.message : 'The request cannot be accepted.' };
  return {
    status: 500,
    title: 'Something went wrong',
    detail: 'Something failed on the server. Nothing was saved. The request number finds it in the log.',
  };
}

function httpStatus({ status, statusCode }: HttpLike): number {
  const given = status ?? statusCode;
  return typeof given === 'number' && given >= 400 && given < 500 ? given : 500;
}
