/**
 * Who may talk to this server. Contract: a request has to name a host that this server answers for, and one that changes
 * something has to come from a page of its own, or from no page at all; nobody may frame it. On this machine alone there is no
 * passcode; beyond it there is one, or the server does not start.
 */
import { said } from '@fogata/core';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { createHmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import { Problem } from './problem';

export interface GuardOptions {
  /** Where it listens. */
  host: string;
  /** More names it is reached by, as a reverse proxy's. */
  names?: readonly string[];
  /** Null where it listens on this machine alone. */
  passcode: string | null;
  /** The farm's own authority, where its certificate was made here: phones fetch it to trust it. */
  authority?: string | null;
}

const LOOPBACK = ['localhost', '127.0.0.1', '::1'];
export const isLoopback = (host: string) => LOOPBACK.includes(host) || /^127\./.test(host);

/** The host of a Host header or an origin, without port and brackets, in small letters; null for none. */
function nameOf(text: string | undefined): string | null {
  if (!text || text.length > 255) return null;
  try {
    return new URL(text.includes('://') ? text : `http://${text}`).hostname
      .replace(/^\[|\]$/g, '')
      .toLowerCase();
  } catch {
    return null;
  }
}

/** Names that this server answers for: loopback, where it listens, what it was told, and on all interfaces their addresses. */
export function allowedNames(o: GuardOptions): Set<string> {
  const all = ['0.0.0.0', '::'].includes(o.host)
    ? Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map((i) => i.address.split('%')[0]!))
    : [];
  return new Set([...LOOPBACK, o.host, ...all, ...(o.names ?? [])].map((n) => n.toLowerCase()));
}

const SAFE = ['GET', 'HEAD', 'OPTIONS'];

const CSP = [
  "default-src 'self'",
  "script-src 'self' 'wasm-unsafe-eval'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self' data:",
  "worker-src 'self' blob:",
  "connect-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

export function securityHeaders(_req: Request, res: Response, next: NextFunction): void {
  res.setHeader('X-Content-Type-Options', 'nosniff');
  res.setHeader('Referrer-Policy', 'no-referrer');
  res.setHeader('Content-Security-Policy', CSP);
  res.setHeader('X-Frame-Options', 'DENY');
  res.setHeader('Cross-Origin-Opener-Policy', 'same-origin');
  res.setHeader('Cross-Origin-Resource-Policy', 'same-origin');
  next();
}

/** Refuses a foreign host (a name that was bound to this address), and a change that a foreign page asks for. */
export function sameHouse(o: GuardOptions): RequestHandler {
  const names = allowedNames(o);
  return (req, _res, next) => {
    const host = nameOf(req.headers.host);
    if (host === null || !names.has(host)) throw new Problem(421, said('refuse.host'), 'host');
    const { origin } = req.headers;
    const site = req.headers['sec-fetch-site'];
    const foreign =
      (origin !== undefined && nameOf(origin) !== host) || site === 'cross-site' || site === 'same-site';
    if (foreign && (!SAFE.includes(req.method) || req.path.startsWith('/api')))
      throw new Problem(403, said('refuse.origin'), 'origin');
    next();
  };
}

/** So many in a window of time by a key; the rest are refused. */
export function limiter(
  most: number,
  windowMs: number,
  now: () => number = Date.now,
): (key: string) => boolean {
  const held = new Map<string, { from: number; n: number }>();
  return (key) => {
    const at = now();
    if (held.size > 5000) for (const [k, v] of held) if (at - v.from > windowMs) held.delete(k);
    const was = held.get(key);
    const entry = was && at - was.from < windowMs ? was : { from: at, n: 0 };
    entry.n += 1;
    held.set(key, entry);
    return entry.n <= most;
  };
}

const COOKIE = 'fogata_session';
const SESSION_S = 90 * 24 * 3600;
const SALT = 'fogata session';

/** Sessions signed with a key that is made of the passcode: another passcode ends them all, and nothing is kept. */
export function sessions(passcode: string) {
  const key = scryptSync(passcode, SALT, 32);
  const sign = (text: string) => createHmac('sha256', key).update(text).digest('base64url');
  return {
    make(nowAtMs: number): string {
      const body = `${Math.floor(nowAtMs / 1000) + SESSION_S}.${randomBytes(9).toString('base64url')}`;
      return `${body}.${sign(body)}`;
    },
    holds(cookie: string | undefined, nowAtMs: number): boolean {
      const text = /(?:^|;\s*)fogata_session=([\w.-]{20,200})/.exec(cookie ?? '')?.[1];
      if (!text) return false;
      const at = text.lastIndexOf('.');
      const [body, mark] = [text.slice(0, at), text.slice(at + 1)];
      const expected = sign(body);
      if (mark.length !== expected.length || !timingSafeEqual(Buffer.from(mark), Buffer.from(expected)))
        return false;
      return Number(body.split('.')[0]) * 1000 > nowAtMs;
    },
    same(given: string): boolean {
      return timingSafeEqual(scryptSync(given, SALT, 32), key);
    },
  };
}

export function sessionCookie(value: string, secure: boolean): string {
  return `${COOKIE}=${value}; Path=/; Max-Age=${SESSION_S}; HttpOnly; SameSite=Strict${secure ? '; Secure' : ''}`;
}

const GUESSES = 8;
const GUESS_MS = 10 * 60_000;

/**
 * The passcode before the API. `POST /api/session` with it opens a session; feeds come with their own token, and whether the
 * server is up may be asked by anyone.
 */
export type Sessions = ReturnType<typeof sessions>;

export function passcodeGate(session: Sessions): RequestHandler {
  const guess = limiter(GUESSES, GUESS_MS);
  return (req, res, next) => {
    const path = req.path;
    if (path === '/health' || path.startsWith('/feed/')) return next();
    if (path === '/session' && req.method === 'POST') {
      if (!guess(req.ip ?? '')) throw new Problem(429, said('refuse.triedTooOften'), 'passcode');
      const given = (req.body as { passcode?: unknown } | undefined)?.passcode;
      if (typeof given !== 'string' || given.length > 200 || !session.same(given))
        throw new Problem(401, said('refuse.passcode'), 'passcode');
      res.setHeader('Set-Cookie', sessionCookie(session.make(Date.now()), req.secure));
      res.status(204).end();
      return;
    }
    if (!session.holds(req.headers.cookie, Date.now())) throw new Problem(401, said('refuse.locked'));
    next();
  };
}
