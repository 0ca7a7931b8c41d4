/** Certificates made here: what a phone was told to trust stays trusted, and nothing stands longer or for more than it should. */
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fingerprintOf, madeCertificate, ownCertificate } from '../src/tls';

const NOW = Date.parse('2027-01-14T12:00:00Z');
const DAY = 86_400_000;
const dir = mkdtempSync(join(tmpdir(), 'fogata-tls-'));
const tls = join(dir, 'tls');
const NAMES = ['localhost', '127.0.0.1', 'farm.example', 'fd00::2'];
afterAll(() => rmSync(dir, { recursive: true, force: true }));

const days = (cert: X509Certificate) => (Date.parse(cert.validTo) - Date.parse(cert.validFrom)) / DAY;

test('it stands for its names and addresses alone, under an authority that signs nothing but servers', async () => {
  const made = await madeCertificate(tls, NAMES, NOW);
  const cert = new X509Certificate(made.cert);
  const authority = new X509Certificate(made.authority!);
  expect(cert.checkIssued(authority)).toBe(true);
  expect(cert.verify(authority.publicKey)).toBe(true);
  expect([cert.ca, authority.ca]).toEqual([false, true]);
  expect(NAMES.map((n) => cert.checkHost(n) ?? cert.checkIP(n))).not.toContain(undefined);
  expect([cert.checkHost('elsewhere.example'), cert.checkIP('10.0.0.9')]).toEqual([undefined, undefined]);
  // phones refuse what is to last longer than 398 days
  expect(days(cert)).toBeLessThanOrEqual(398);
  expect(fingerprintOf(made.authority!)).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
});

test('keys are for the owner’s eyes alone', () => {
  for (const name of ['authority.key', 'server.key']) expect(statSync(join(tls, name)).mode & 0o077).toBe(0);
  expect(statSync(tls).mode & 0o077).toBe(0);
});

test('the next start takes the same; another address or the last month makes it anew under the same authority', async () => {
  const first = await madeCertificate(tls, NAMES, NOW);
  expect(await madeCertificate(tls, NAMES, NOW + 200 * DAY)).toEqual(first);
  const moved = await madeCertificate(tls, [...NAMES, '192.0.2.7'], NOW + 200 * DAY);
  expect(moved.cert).not.toBe(first.cert);
  expect(new X509Certificate(moved.cert).checkIP('192.0.2.7')).toBeDefined();
  expect(moved.authority).toBe(first.authority);
  const late = await madeCertificate(tls, NAMES, NOW + 200 * DAY + 370 * DAY);
  expect(late.cert).not.toBe(moved.cert);
  expect(late.authority).toBe(first.authority);
  // numbers are never given twice
  const serials = [first, moved, late].map((c) => new X509Certificate(c.cert).serialNumber);
  expect(new Set(serials).size).toBe(3);
});

test('an authority near its own end is made anew, and what it signed with it', async () => {
  const before = await madeCertificate(tls, NAMES, NOW);
  const after = await madeCertificate(tls, NAMES, NOW + 3500 * DAY);
  expect(after.authority).not.toBe(before.authority);
  expect(new X509Certificate(after.cert).checkIssued(new X509Certificate(after.authority!))).toBe(true);
});

test('the grower’s own is read from two files, and what does not stand is said by its name', async () => {
  const made = await madeCertificate(join(dir, 'own'), NAMES, Date.now());
  const [crt, key] = [join(dir, 'chain.pem'), join(dir, 'key.pem')];
  writeFileSync(crt, made.cert);
  writeFileSync(key, made.key);
  expect(ownCertificate(crt, key)).toEqual({ cert: made.cert, key: made.key, authority: null });
  expect(() => ownCertificate(join(dir, 'none.pem'), key)).toThrow(/^FOGATA_CERT: expected a file/);
  expect(() => ownCertificate(crt, join(dir, 'none.pem'))).toThrow(/^FOGATA_KEY: expected a file/);
  writeFileSync(crt, 'no certificate');
  expect(() => ownCertificate(crt, key)).toThrow('FOGATA_CERT: expected a certificate in PEM.');
  const old = await madeCertificate(join(dir, 'old'), NAMES, Date.now() - 900 * DAY);
  writeFileSync(crt, old.cert);
  expect(() => ownCertificate(crt, key)).toThrow(/^FOGATA_CERT: expected a certificate that has not ended/);
});
