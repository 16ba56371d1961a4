import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import type { NextFunction, Request, Response } from 'express';
import helmet from 'helmet';
import { AccessService } from './access/access.service.ts';
import { knownHosts } from './access/known-hosts.ts';
import { sameOriginOnly } from './access/same-origin.ts';
import { sessions } from './access/session.ts';
import { SESSION_COOKIE } from './actor/route-access.ts';
import { AppModule } from './app.module.ts';
import { TeamDatabase } from './database/team-database.ts';
import { Metrics } from './health/metrics.ts';
import { jsonUpTo, signedInFirst } from './http/body-limits.ts';
import { fairShare } from './http/fair-share.ts';
import { nestLog, requestLog } from './http/logging.ts';
import { openApiDocument } from './http/openapi.ts';
import { problemMiddleware } from './http/problem.filter.ts';
import { ProblemException } from './http/problem.ts';
import { validation } from './http/validation.ts';
import { webFiles } from './http/web-files.ts';

const SELF = ["'self'"];
/** Only this server's own files; no inline script anywhere. Behind https, browsers are told to stay there. */
const security = (isHttps: boolean) =>
  helmet({
    strictTransportSecurity: isHttps,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: SELF,
        scriptSrc: SELF,
        styleSrc: SELF,
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        fontSrc: SELF,
        connectSrc: SELF,
        workerSrc: SELF,
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: SELF,
        frameAncestors: ["'none'"],
      },
    },
  });
/** The API's own reading page ships inline styles, but no inline script. */
const docsSecurity = helmet({
  strictTransportSecurity: false,
  contentSecurityPolicy: {
    useDefaults: false,
    directives: { defaultSrc: SELF, scriptSrc: SELF, styleSrc: ["'self'", "'unsafe-inline'"], imgSrc: ["'self'", 'data:'] },
  },
});

/** The one address whose body is a file itself, which its own route reads as a stream. */
const TAKES_FILE = /^\/plans\/[^/]+\/series$/;

/** Bodies other than JSON are refused before anything reads them. */
function jsonOnly(request: Request, _response: Response, next: NextFunction): void {
  const hasBody = request.headers['content-length'] !== undefined && request.headers['content-length'] !== '0';
  const takesIt = request.is('application/json') || (TAKES_FILE.test(request.path) && request.is('text/csv'));
  if (hasBody && !takesIt) next(new ProblemException({ status: 415, title: 'Wrong content type', detail: 'Send application/json.' }));
  else next();
}

/** Half as much work as the usual 6, for a tenth more bytes. */
const PACKED = 3;

/** Texts are packed on their way; a stream is not, or nothing of it would arrive before it is full. */
function packs(request: Request, response: Response): boolean {
  return !String(response.getHeader('Content-Type')).startsWith('text/event-stream') && compression.filter(request, response);
}

/** Answers of the API are for the one who asked, now. */
function neverKept(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('Cache-Control', 'no-store');
  next();
}

/** What the addresses take, each by the first that fits; the last is all the rest. */
const BODIES: readonly (readonly [paths: readonly string[], limits: Parameters<typeof jsonUpTo>[0]])[] = [
  [['session', 'invitations'], { bytes: '16kb', entries: 50 }],
  [['gear/import'], { bytes: '9mb', entries: 22_000 }],
  [['photos'], { bytes: '3mb', entries: 50 }],
  [['plans', 'layouts', 'policy', 'inspection-sheets'], { bytes: '1mb', entries: 20_000 }],
  // A round of the most pieces, all of them confirmed, and the most drafts.
  [['rounds'], { bytes: '512kb', entries: 20_000 }],
  [[''], { bytes: '128kb', entries: 2000 }],
];

/** A whole team’s file is taken only by a server that has no team yet; any other reads no more than usual. */
function wholeTeams(access: AccessService) {
  const large = jsonUpTo({ bytes: '100mb', entries: 10_000_000 });
  return (request: Request, response: Response, next: NextFunction) => {
    access.view(undefined).then(({ needsSetUp }) => (needsSetUp ? large(request, response, next) : next()), next);
  };
}

/** Whose word counts about the caller's address: only that of the proxies named, none by default. */
function trustProxy(app: NestExpressApplication): void {
  const proxies = process.env.WAINROPE_TRUST_PROXY;
  if (proxies)
    app.set(
      'trust proxy',
      proxies.split(',').map((entry) => entry.trim()),
    );
}

/** The document of the API, written once, and the page to read it on. */
function apiDocuments(app: NestExpressApplication): void {
  let written: Buffer | undefined;
  app.use('/api/docs/openapi.json', (_request: Request, response: Response) => {
    written ??= Buffer.from(JSON.stringify(openApiDocument(app)));
    response.type('application/json').send(written);
  });
  SwaggerModule.setup('api/docs', app, () => openApiDocument(app), { raw: false });
}

/** The whole server, not yet listening. `webFolder` holds the built pages. */
export async function createApplication(webFolder: string): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule, { bodyParser: false, logger: nestLog, abortOnError: false });
  app.disable('x-powered-by');
  // Answers are kept nowhere, so that a mark to compare them by is of no use.
  app.disable('etag');
  app.use(requestLog);
  app.use(app.get(Metrics).timing);
  const publicUrl = process.env.WAINROPE_PUBLIC_URL || undefined;
  app.use(knownHosts(publicUrl));
  trustProxy(app);
  app.use('/api/docs', docsSecurity);
  const pages = security(publicUrl?.startsWith('https:') === true);
  app.use((request: Request, response: Response, next: NextFunction) =>
    request.path.startsWith('/api/docs') ? next() : pages(request, response, next),
  );
  const { handler, close } = sessions(app.get(TeamDatabase).pool, publicUrl);
  app.get(TeamDatabase).beforeClose(close);
  app.use('/api', compression({ filter: packs, level: PACKED }));
  app.use('/api/v1', sameOriginOnly(publicUrl), jsonOnly, neverKept);
  app.use('/api/v1', (request: Request, response: Response, next: NextFunction) =>
    request.path.startsWith('/health/') ? next() : handler(request, response, next),
  );
  app.use('/api/v1', signedInFirst, fairShare());
  app.use('/api/v1/invitations/bundle', wholeTeams(app.get(AccessService)));
  for (const [paths, limits] of BODIES)
    app.use(
      paths.map((path) => `/api/v1/${path}`),
      jsonUpTo(limits),
    );
  for (const handler of webFiles(webFolder, SESSION_COOKIE)) app.use(handler);
  app.setGlobalPrefix('api/v1');
  app.useGlobalPipes(validation);
  app.use('/api/docs', fairShare());
  apiDocuments(app);
  await app.init();
  app.use(problemMiddleware);
  return app;
}
