/** The Express application: API by topic, then the built web app. */
import { said } from '@fogata/core';
import { pageTitle } from '@fogata/contract';
import compression from 'compression';
import express, { type Express } from 'express';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Context, type ServerOptions } from './context';
import { told } from '@fogata/core/words';
import { firstWords } from './firstWords';
import { AUTHORITY_PATH } from './front';
import { limiter, passcodeGate, sameHouse, securityHeaders, sessions, type GuardOptions } from './guard';
import { ownFarmOnly } from './farm/identity';
import { takeOrigin } from './origin';
import { nowOf } from './night/nowOf';
import { Problem, sendProblem } from './problem';
import { askRoutes } from './routes/ask';
import { exchangeRoutes } from './routes/exchange';
import { feedRoutes } from './routes/feed';
import { farmRoutes } from './routes/farm';
import { forecastRoutes } from './routes/forecasts';
import { logRoutes } from './routes/log';
import { nightRoutes } from './routes/night';
import { relayRoutes } from './routes/relay';
import { scenarioRoutes } from './routes/scenarios';
import { seedRoutes } from './routes/seeds';
import { seasonRoutes } from './routes/season';
import { startRoutes } from './routes/start';

/** Requests a minute from one address: more than a farm's phones ask for, fewer than a loop does. */
const MOST_A_MINUTE = 3000;

export function makeApp(
  options: ServerOptions,
  webDirectory: string | null,
  guard: GuardOptions = { host: '127.0.0.1', passcode: null },
): { app: Express; context: Context } {
  const context = new Context(options);
  const app = express();
  app.disable('x-powered-by');
  // a reverse proxy on this machine says whether the grower came by HTTPS
  app.set('trust proxy', 'loopback');
  app.set('query parser', 'simple');
  app.use(securityHeaders);
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    // by this the app knows its own server's word from a portal's or a proxy's
    res.setHeader('X-Fogata', options.farmId ?? '1');
    next();
  });
  if (!process.env['FOGATA_DEV']) app.use(sameHouse(guard));
  const often = limiter(MOST_A_MINUTE, 60_000);
  app.use('/api', (req, _res, next) => {
    if (!often(req.ip ?? '')) throw new Problem(429, said('refuse.tooOften'));
    next();
  });
  if (options.farmId !== undefined) app.use('/api', ownFarmOnly(options.farmId));
  app.use('/api', takeOrigin);
  app.use(compression());
  app.use('/api/session', express.json({ limit: '2kb' }));
  // before anything large is read
  const session = guard.passcode === null ? null : sessions(guard.passcode);
  if (session) app.use('/api', passcodeGate(session));
  // a farm with its whole log is larger than anything else that comes
  app.use('/api/farm/file', express.json({ limit: '64mb' }));
  app.use(express.json({ limit: '8mb' }));
  if (process.env['FOGATA_DEV']) {
    // Expo's own server has another port; only while developing
    app.use('/api', (req, res, next) => {
      res.setHeader('Access-Control-Allow-Origin', 'http://localhost:8081');
      res.setHeader(
        'Access-Control-Allow-Headers',
        'content-type, x-fogata-device, x-fogata-who, x-fogata-farm',
      );
      res.setHeader('Access-Control-Expose-Headers', 'x-fogata');
      res.setHeader('Access-Control-Allow-Methods', 'GET,POST,PUT,PATCH,DELETE');
      if (req.method === 'OPTIONS') res.status(204).end();
      else next();
    });
  }
  for (const routes of [
    askRoutes,
    farmRoutes,
    exchangeRoutes,
    nightRoutes,
    seasonRoutes,
    seedRoutes,
    relayRoutes,
    scenarioRoutes,
    startRoutes,
    logRoutes,
    forecastRoutes,
    feedRoutes,
  ])
    app.use('/api', routes(context));
  app.use('/api', () => {
    throw new Problem(404, said('refuse.noSuchAddress'));
  });
  const { authority } = guard;
  if (authority)
    app.get(AUTHORITY_PATH, (_req, res) => {
      res.type('application/x-x509-ca-cert').attachment('fogata-authority.crt').send(authority);
    });
  if (webDirectory && existsSync(join(webDirectory, 'index.html'))) {
    app.get(
      '/',
      firstWords(
        join(webDirectory, 'index.html'),
        async () => {
          const m = await context.moment();
          return told((await nowOf(context, m)).sentence, m.style);
        },
        (cookie) => session === null || session.holds(cookie, Date.now()),
      ),
    );
    app.use(
      express.static(webDirectory, {
        setHeaders: (res, path) => {
          const forever = path.includes('_expo') || path.includes('assets');
          res.setHeader('Cache-Control', forever ? 'public, max-age=31536000, immutable' : 'no-cache');
        },
      }),
    );
    app.use('/_expo', (_req, res) => {
      res.status(404).end();
    });
    app.get('/{*path}', (req, res) => {
      res.setHeader('Cache-Control', 'no-cache');
      // the app says so in words; whoever only reads the status is told as well
      if (pageTitle(req.path) === null) res.status(404);
      res.sendFile(join(webDirectory, 'index.html'));
    });
  }
  app.use(sendProblem);
  return { app, context };
}
