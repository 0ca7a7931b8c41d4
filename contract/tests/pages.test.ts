/** The addresses that the server and the window's bar know are the app's own files. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pageTitle } from '../src';

const ROUTES = join(__dirname, '..', '..', 'app', 'src', 'app');

function addresses(directory: string, under = ''): string[] {
  return readdirSync(directory, { withFileTypes: true }).flatMap((e) => {
    if (e.isDirectory()) return addresses(join(directory, e.name), `${under}/${e.name}`);
    if (/^[_+]/.test(e.name)) return [];
    const name = e.name.replace(/\.tsx$/, '');
    return [name === 'index' ? `${under}/` : `${under}/${name}`];
  });
}

test('every page of the app has a title, and its parameter may be anything but a night that is none', () => {
  const all = addresses(ROUTES);
  expect(all.length).toBeGreaterThan(15);
  for (const address of all) {
    const example = address.replace('[night]', '2027-01-14').replace(/\[\w+\]/, 'n1');
    expect([address, pageTitle(example)]).toEqual([address, expect.any(String)]);
  }
});

test.each(['/nothing', '/beds/7', '/night/garbage', '/place', '//', '/place/a/b', '/_expo'])(
  '%s is no page',
  (path) => {
    expect(pageTitle(path)).toBeNull();
  },
);
