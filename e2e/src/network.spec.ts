/**
 * Open to the network: HTTPS with the farm's own authority, and behind a reverse proxy set up as docs/network.md has it. A
 * phone that trusts it gets a secure page, keeps the app for offline and stays signed in.
 */
import { chromium, type Page } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, Farm, freePort, freshDirectory, ROOT, test } from './farm';
import { CHROMIUM } from './chromium';

test.use({ serviceWorkers: 'allow' });

const PASSCODE = 'a long winter';
const NGINX = '/usr/sbin/nginx';

/** A browser that trusts one key, as a phone does that was told to trust the farm's authority. */
async function trusting(cert: string) {
  const der = new X509Certificate(cert).publicKey.export({ type: 'spki', format: 'der' });
  const hash = createHash('sha256').update(der).digest('base64');
  return chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', `--ignore-certificate-errors-spki-list=${hash}`],
  });
}

/** Signs in, and goes on without signal in the app that was kept. */
async function signInAndLoseSignal(page: Page, url: string): Promise<void> {
  await page.goto(url);
  expect(await page.evaluate(() => isSecureContext)).toBe(true);
  await page.getByTestId('passcode-field').fill(PASSCODE);
  await page.getByTestId('passcode-open').click();
  await expect(page.getByTestId('sentence')).toContainText('Add a structure');
  const [cookie] = await page.context().cookies();
  expect(cookie).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Strict' });
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await page.context().setOffline(true);
  await page.reload();
  await expect(page.getByTestId('empty-farm')).toBeVisible();
  await page.context().setOffline(false);
}

const statusOf = (url: string, ca: string) =>
  new Promise<number>((resolve, reject) => {
    get(url, { ca, family: 4 }, (res) => resolve(res.resume().statusCode ?? 0)).on('error', reject);
  });

test('opened to the network it makes its certificate, and plain HTTP gives nothing but the way to trust it', async () => {
  const directory = await freshDirectory();
  const farm = new Farm(directory, await freePort(), false, { HOST: '0.0.0.0', FOGATA_PASSCODE: PASSCODE });
  await farm.start();
  try {
    const plain = `http://127.0.0.1:${farm.port}`;
    const ca = await (await fetch(`${plain}/authority.crt`)).text();
    expect(farm.output).toContain(new X509Certificate(ca).fingerprint256);
    const moved = await fetch(`${plain}/api/farm`, { redirect: 'manual' });
    expect([moved.status, moved.headers.get('location')]).toEqual([
      308,
      `https://127.0.0.1:${farm.port}/api/farm`,
    ]);
    // whoever trusts the authority needs no exception, by name or by address; inside a passcode is asked for
    expect(await statusOf(`https://localhost:${farm.port}/api/farm`, ca)).toBe(401);
    expect(await statusOf(`https://127.0.0.1:${farm.port}/authority.crt`, ca)).toBe(200);
    const cert = readFileSync(join(directory, 'tls', 'server.crt'), 'utf8');
    const browser = await trusting(cert);
    await signInAndLoseSignal(await browser.newPage(), `https://localhost:${farm.port}`);
    await browser.close();
    // a restart keeps both: what was trusted stays trusted
    await farm.stop();
    await farm.start();
    expect(readFileSync(join(directory, 'tls', 'server.crt'), 'utf8')).toBe(cert);
  } finally {
    await farm.stop();
    rmSync(directory, { recursive: true, force: true });
  }
});

test('what cannot stand is refused at the start in a sentence: a certificate, a short passcode, threads that are no number', async () => {
  const directory = mkdtempSync(join(tmpdir(), 'fogata-https-'));
  const start = async (env: Record<string, string>) =>
    new Farm(directory, await freePort(), false, {
      HOST: '0.0.0.0',
      FOGATA_PASSCODE: PASSCODE,
      ...env,
    }).start();
  await expect(start({ FOGATA_CERT: '/nowhere.crt' })).rejects.toThrow(/expected both, or neither/);
  await expect(start({ FOGATA_CERT: '/nowhere.crt', FOGATA_KEY: '/nowhere.key' })).rejects.toThrow(
    /FOGATA_CERT: expected a file that can be read/,
  );
  await expect(start({ FOGATA_PASSCODE: 'short' })).rejects.toThrow(/set FOGATA_PASSCODE/);
  for (const threads of ['none', '0', '1.5', '65'])
    await expect(start({ FOGATA_PASSCODE: PASSCODE, FOGATA_THREADS: threads })).rejects.toThrow(
      `FOGATA_THREADS: expected a number from 1 to 64, not “${threads}”.`,
    );
  // refused, it has made nothing
  expect(readdirSync(directory)).toEqual([]);
  rmSync(directory, { recursive: true, force: true });
});

/** The block of docs/network.md, with this test's ports and files in it. */
function nginxConfig(dir: string, port: number, farmPort: number, cert: string, key: string): string {
  const docs = readFileSync(join(ROOT, 'docs', 'network.md'), 'utf8');
  const block = /```nginx\n([\s\S]*?)```/
    .exec(docs)![1]!
    .replace('listen 443 ssl', `listen 127.0.0.1:${port} ssl`)
    .replace('/etc/ssl/farm.example.crt', cert)
    .replace('/etc/ssl/farm.example.key', key)
    .replaceAll('127.0.0.1:4310', `127.0.0.1:${farmPort}`)
    .replace('farm.example', 'localhost');
  const at = (name: string) => `${name}_temp_path ${join(dir, name)};`;
  const paths = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(at).join('\n');
  return `daemon off; pid ${join(dir, 'nginx.pid')}; error_log ${join(dir, 'error.log')};
events {}
http { access_log off; ${paths}
${block}
}`;
}

test('behind the reverse proxy of docs/network.md it is one secure page, signed in and kept for offline', async () => {
  expect(existsSync(NGINX), 'nginx is not on this machine: apt-get install nginx-light').toBe(true);
  const dir = mkdtempSync(join(tmpdir(), 'fogata-proxy-'));
  // the proxy works as another user, and keeps what a slow reader has not taken yet in here
  chmodSync(dir, 0o755);
  const [crt, key] = [join(dir, 'farm.crt'), join(dir, 'farm.key')];
  const made = spawnSync('openssl', [
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '30', '-subj', '/CN=localhost'],
    ...['-addext', 'subjectAltName=DNS:localhost', '-keyout', key, '-out', crt],
  ]);
  expect(made.status).toBe(0);
  const directory = await freshDirectory();
  const farm = new Farm(directory, await freePort(), false, {
    FOGATA_NAMES: 'localhost',
    FOGATA_PASSCODE: PASSCODE,
  });
  await farm.start();
  const port = await freePort();
  const conf = join(dir, 'nginx.conf');
  writeFileSync(conf, nginxConfig(dir, port, farm.port, crt, key));
  const nginx: ChildProcess = spawn(NGINX, ['-c', conf, '-e', join(dir, 'error.log')], { stdio: 'ignore' });
  try {
    const ca = readFileSync(crt, 'utf8');
    await expect.poll(() => statusOf(`https://localhost:${port}/api/farm`, ca).catch(() => 0)).toBe(401);
    const browser = await trusting(ca);
    await signInAndLoseSignal(await browser.newPage(), `https://localhost:${port}`);
    await browser.close();
  } finally {
    nginx.kill();
    await farm.stop();
    for (const d of [dir, directory]) rmSync(d, { recursive: true, force: true });
  }
});
