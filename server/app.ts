import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import fastifyStatic from '@fastify/static';
import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import Fastify, { type FastifyInstance } from 'fastify';
import { serializerCompiler } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { VERSION } from '#core/vocabulary/version';
import { type Backups, backupsOf } from './backup/daily';
import { backupRoutes } from './backup/routes';
import { bundleRoutes } from './bundle/routes';
import { calcRoutes } from './calc/routes';
import type { Database } from './storage/open';
import { outingRoutes } from './outings/routes';
import { libraryOf } from './documents/library';
import { pictureRoutes } from './documents/pictureRoutes';
import { sampleRoutes } from './sample/routes';
import { setAsideRoutes } from './documents/setAsideRoutes';
import { readJson } from './http/json';
import { type Serving, guard } from './http/guard';
import { refuseWhenOutdated } from './http/outdated';
import { type BodyLimits, cutSlowBodies } from './http/slowBodies';
import { InvalidInput } from './errors/refusal';
import { openApi } from './http/openapi';
import { handleErrors } from './http/problem';
import { addAuthHook, isOpenRoute } from './people/authHook';
import { noAccountsRoute } from './people/signUp';
import { partyRoutes } from './party/routes';
import { peopleRoutes } from './people/routes';
import { peopleStore } from './people/store';
import { referenceRoutes } from './documents/referenceRoutes';
import { stationRoutes } from './station/routes';
import { stores } from './documents/stores';
import { summariesOf } from './outings/summaries';
import { walkRoutes } from './walkround/routes';
import { walkStore } from './walkround/store';
import { wordRoutes } from './word/routes';
import { type Post, watchOver } from './word/watch';

/** What the app is made from. It never reads the environment and never listens. */
const healthSchema = z.object({ ok: z.boolean(), now: z.string(), version: z.string() });

export interface AppParts {
  db: Database;
  now: () => number;
  /** Folder of the built web app; null: the API alone. */
  webRoot: string | null;
  log: boolean;
  serving?: Serving;
  /** Certificate and key, PEM; null: plain HTTP. */
  tls?: { cert: Buffer; key: Buffer } | null;
  /** Sends messages to those ashore; null: they are written and shown only. */
  post?: Post | null;
  /** How often plans that are out are looked at, ms; 0: never, whoever made the app does. */
  watchMs?: number;
  /** Whether people sign in; else whoever reaches the server is the one person of the house. */
  accounts?: boolean;
  /** Addresses of proxies whose word of who asks is taken. */
  trusted?: readonly string[];
  /** The daily backup; left out: there is none. */
  backups?: Backups;
  /** How often it is asked whether one is due, ms; 0: never. */
  backupEveryMs?: number;
  /** How often passes and tries that are over are taken away, ms; 0: never. */
  sweepEveryMs?: number;
  /** Whether a newer program has changed the database since; left out: none can have. */
  isOutdated?: () => Promise<boolean>;
  /** How often that is asked, ms; 0: never. */
  outdatedEveryMs?: number;
  /** How slowly a body may come; left out: as slowly as a telephone with a bad signal sends. */
  bodyLimits?: BodyLimits;
}

const BODY_LIMIT = 2 * 1024 * 1024;

export async function buildApp({
  db,
  now,
  webRoot,
  log,
  serving = { names: [] },
  tls = null,
  post = null,
  watchMs = 0,
  accounts = false,
  trusted = [],
  backups = backupsOf(db, null, now),
  backupEveryMs = 0,
  sweepEveryMs = 0,
  isOutdated = () => Promise.resolve(false),
  outdatedEveryMs = 0,
  bodyLimits,
}: AppParts): Promise<FastifyInstance> {
  const options = {
    logger: log ? { level: 'warn' } : false,
    bodyLimit: BODY_LIMIT,
    // On a machine with much else to do the parts start slowly, and start all the same.
    pluginTimeout: 60_000,
    routerOptions: { maxParamLength: 200 },
    ...(trusted.length > 0 ? { trustProxy: [...trusted] } : {}),
  };
  const app = (tls ? Fastify({ ...options, https: tls }) : Fastify(options)) as FastifyInstance;
  app.setValidatorCompiler(({ schema, httpPart }) => (data) => {
    const result = (schema as z.ZodType).safeParse(data ?? {});
    return result.success
      ? { value: result.data }
      : { error: new InvalidInput(httpPart ?? 'body', result.error) };
  });
  app.setSerializerCompiler(serializerCompiler);
  handleErrors(app);
  guard(app, serving);
  cutSlowBodies(app, bodyLimits);
  readJson(app);
  again(
    app,
    outdatedEveryMs,
    'the version of the data could not be read',
    refuseWhenOutdated(app, isOutdated),
  );
  const people = peopleStore(db, now);
  if (accounts) await addAuthHook(app, people);
  const build = webRoot === null ? null : buildIn(webRoot);
  // What the browser's clock says is compared with this one, and the build of its page with the one that is
  // served.
  app.addHook('onSend', (request, reply, _payload, done) => {
    reply.header('x-tally-now', String(now()));
    if (build !== null) reply.header('x-tally-build', build);
    // What is answered is somebody's: no cache between keeps it, unless the route says which may.
    if (request.url.startsWith('/api/') && !reply.hasHeader('cache-control'))
      reply.header('cache-control', 'no-store');
    done();
  });
  await app.register(helmet, {
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        // Of itself the library allows any host here.
        fontSrc: ["'self'", 'data:'],
        workerSrc: ["'self'", 'blob:'],
        // Served over plain HTTP on the own machine: nothing to upgrade to.
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  });
  // Quick rather than small: most of it goes no farther than this machine.
  await app.register(compress, { threshold: 1024, encodings: ['gzip'], zlibOptions: { level: 1 } });
  await app.register(swagger, openApi(isOpenRoute));
  await app.register(swaggerUi, { routePrefix: '/api/docs' });

  const from = stores(db);
  const library = libraryOf(db);
  const walks = walkStore(db);
  const summaries = summariesOf(db, library, walks, now);
  app.get('/api/health', { schema: { response: { 200: healthSchema } } }, () => ({
    ok: true,
    now: new Date(now()).toISOString(),
    version: VERSION,
  }));
  if (accounts) {
    const { sweep } = peopleRoutes(app, { db, now, secure: tls !== null, names: serving.names });
    again(app, sweepEveryMs, 'what is over could not be taken away', sweep);
    partyRoutes(app, { db, stores: from, library, walks, people, now });
  } else noAccountsRoute(app);
  referenceRoutes(app, from, library);
  setAsideRoutes(app, db);
  pictureRoutes(app, db);
  sampleRoutes(app, db);
  outingRoutes(app, from, library, summaries);
  walkRoutes(app, db, from, library, now);
  const watch = watchOver(db, now, post, (err, outingId) =>
    app.log.warn({ err, outingId }, 'a plan that is out could not be looked at'),
  );
  wordRoutes(app, { db, from, now, watch, mails: post !== null });
  again(app, watchMs, 'plans that are out could not be looked at', () => watch.tick());
  again(app, watchMs, 'messages to those ashore could not be sent', () => watch.send());
  backupRoutes(app, backups);
  bundleRoutes(app, { db, library, now });
  again(app, backupEveryMs, 'no backup could be made', () => backups.tick());
  calcRoutes(app);
  stationRoutes(app, from, now);
  if (webRoot !== null && existsSync(webRoot)) await serveWeb(app, webRoot);
  return app;
}

/** Does the work again and again, never twice at once; where it fails it is said, and done the next time. */
function again(app: FastifyInstance, everyMs: number, failed: string, work: () => Promise<void>): void {
  if (everyMs <= 0) return;
  let doing: Promise<void> | null = null;
  const timer = setInterval(() => {
    doing ??= work()
      .catch((error: unknown) => app.log.warn({ err: error }, failed))
      .finally(() => {
        doing = null;
      });
  }, everyMs);
  app.addHook('onClose', async () => {
    clearInterval(timer);
    await doing;
  });
}

/** The name of a build, as its page says it; null: it says none. */
function buildIn(root: string): string | null {
  const page = join(root, 'index.html');
  if (!existsSync(page)) return null;
  return /<meta name="build" content="([0-9a-f]+)"/.exec(readFileSync(page, 'utf8'))?.[1] ?? null;
}

async function serveWeb(app: FastifyInstance, root: string): Promise<void> {
  await app.register(fastifyStatic, {
    root,
    maxAge: '1y',
    immutable: true,
    index: false,
    wildcard: false,
    preCompressed: true,
    // What every visit asks for anew has no name of its own for each build.
    setHeaders: (reply, path) => {
      if (/(sw\.js|\.webmanifest|index\.html)$/.test(path)) reply.header('cache-control', 'no-cache');
    },
  });
  // Every address that is not a file or the API is a screen of the one page.
  app.get('/*', { schema: { hide: true } }, (request, reply) => {
    if (/^\/(api|assets|watch)\//.test(request.url)) return reply.callNotFound();
    return reply.header('cache-control', 'no-cache').sendFile('index.html', { maxAge: 0, immutable: false });
  });
}
