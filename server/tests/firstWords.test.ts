/** The sentence that stands in the page before any script: whose it is, and what may not happen to it. */
import express from 'express';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { firstWords, withWords } from '../src/firstWords';

const PAGE = '<!doctype html><body><div id="root"></div></body>';
type Sentence = { text: string }[];
const view = (text: string): Sentence => [{ text }];

function served(now: () => Promise<Sentence>, allowed: (cookie: string | undefined) => boolean) {
  const path = join(mkdtempSync(join(tmpdir(), 'fogata-page-')), 'index.html');
  writeFileSync(path, PAGE);
  return request(express().get('/', firstWords(path, now, allowed)));
}

test('the sentence stands where the app will draw it, its parts in order', () => {
  const page = withWords(PAGE, [{ text: 'Cover N2 ' }, { text: 'by 17:10.' }]);
  expect(page).toContain('<div id="root"><p id="first-words">Cover N2 by 17:10.</p></div>');
});

test('a bed called after a tag is words, not a tag, and a dollar is a dollar', () => {
  const page = withWords(PAGE, [{ text: '<img src=x onerror=alert(1)> & $& $1' }]);
  expect(page).not.toContain('<img');
  expect(page).toContain('&lt;img src=x onerror=alert(1)&gt; &amp; $&amp; $1');
});

test('it is never kept by the browser', async () => {
  const answer = await served(
    () => Promise.resolve(view('Frost tonight.')),
    () => true,
  ).get('/');
  expect(answer.text).toContain('Frost tonight.');
  expect(answer.headers['cache-control']).toBe('no-store');
});

test('who has not given the passcode reads nothing, and nothing is computed for them', async () => {
  const asked = jest.fn(() => Promise.resolve(view('Frost tonight.')));
  const api = served(asked, (cookie) => cookie === 'mine=1');
  expect((await api.get('/')).text).toBe(PAGE);
  expect(asked).not.toHaveBeenCalled();
  expect((await api.get('/').set('cookie', 'mine=1')).text).toContain('Frost tonight.');
});

test('a night that takes long to tell, or fails, keeps nobody from the page', async () => {
  const never = await served(
    () => new Promise<Sentence>(() => undefined),
    () => true,
  ).get('/');
  expect(never.text).toBe(PAGE);
  const failed = await served(
    () => Promise.reject(new Error('no')),
    () => true,
  ).get('/');
  expect(failed.status).toBe(200);
  expect(failed.text).toBe(PAGE);
});
