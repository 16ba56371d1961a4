import { randomUUID } from 'node:crypto';
import type { LoggerService } from '@nestjs/common';
import { type Logger, pino } from 'pino';
import { pinoHttp } from 'pino-http';

export const log: Logger = pino({ level: process.env.WAINROPE_LOG_LEVEL ?? 'info' });

/** The path without its query; a private calendar address without its token. */
const withoutSecrets = (url: string): string => (url.split('?')[0] ?? '').replace(/(\/calendar\/)[^/]+/, '$1…');

/** Structured request logs with an id that the answer carries too; no bodies, no query values. */
export const requestLog = pinoHttp({
  logger: log,
  genReqId: (_request, response) => {
    const id = randomUUID();
    response.setHeader('X-Request-Id', id);
    return id;
  },
  serializers: {
    req: ({ id, method, url }: { id: string; method: string; url: string }) => ({ id, method, path: withoutSecrets(url) }),
    res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
  },
  customLogLevel: (_request, response) => (response.statusCode >= 500 ? 'error' : 'debug'),
});

/** Nest's own messages in the same structured log. */
export const nestLog: LoggerService = {
  log: (message: unknown) => log.debug(String(message)),
  error: (message: unknown, stack?: unknown) => log.error({ stack }, String(message)),
  warn: (message: unknown) => log.warn(String(message)),
};
