/**
 * Now's sentence in the page itself, so that it is read before any script has come. In: the built page, the sentence. Out: the
 * page with the sentence where the app will draw it. Never kept by a browser; never for who has not given the passcode.
 */
import type { RequestHandler } from 'express';
import { readFileSync } from 'node:fs';

interface Part {
  text: string;
}

/** A night that is being worked out may take longer to tell; the page goes without rather than wait. */
const WAIT_MS = 250;
const ROOT = '<div id="root"></div>';
const ESCAPED: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

export function withWords(page: string, sentence: readonly Part[]): string {
  const words = sentence
    .map((part) => part.text)
    .join('')
    .replace(/[&<>"']/g, (c) => ESCAPED[c]!);
  return page.replace(ROOT, () => `<div id="root"><p id="first-words">${words}</p></div>`);
}

export function firstWords(
  pagePath: string,
  now: () => Promise<readonly Part[]>,
  allowed: (cookie: string | undefined) => boolean,
): RequestHandler {
  return async (req, res) => {
    const page = readFileSync(pagePath, 'utf8');
    res.setHeader('Cache-Control', 'no-store').type('html');
    if (!allowed(req.headers.cookie)) return void res.send(page);
    let timer: NodeJS.Timeout | undefined;
    const sentence = await Promise.race([
      now().catch(() => null),
      new Promise<null>((done) => (timer = setTimeout(() => done(null), WAIT_MS))),
    ]);
    clearTimeout(timer);
    res.send(sentence === null ? page : withWords(page, sentence));
  };
}
