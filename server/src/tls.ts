/**
 * HTTPS for a farm that is open to the network. Contract: `certificateFor` gives key and certificate: the grower's own from two
 * files, else one made at first start and kept in `directory`, signed by an authority of this farm alone that a phone can be
 * told to trust; it is made anew before it ends and when the names change, under the same authority.
 */
import { starting as words } from '@fogata/words/en/told/starting';
import { createHash, generateKeyPairSync, randomBytes, X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';

export interface Certificate {
  key: string;
  cert: string;
  /** The authority to trust, where the certificate was made here. */
  authority: string | null;
}

const DAY_MS = 86_400_000;
/** Phones refuse a server's certificate that is to last longer. */
const SERVER_DAYS = 397;
const AUTHORITY_DAYS = 3650;
/** Made anew so long before it ends. */
const EARLY_DAYS = 30;

interface Pair {
  key: string;
  cert: string;
}

function newKey(): string {
  const { privateKey } = generateKeyPairSync('rsa', { modulusLength: 2048 });
  return privateKey.export({ type: 'pkcs8', format: 'pem' }) as string;
}

async function issue(
  name: string,
  key: string,
  days: number,
  nowAtMs: number,
  extensions: object[],
  by: Pair | null,
): Promise<string> {
  // few starts make one: it is loaded for those alone
  const { default: forge } = await import('node-forge');
  const cert = forge.pki.createCertificate();
  const privateKey = forge.pki.privateKeyFromPem(key);
  cert.publicKey = forge.pki.setRsaPublicKey(privateKey.n, privateKey.e);
  // positive and never the same twice
  cert.serialNumber = `00${randomBytes(16).toString('hex')}`;
  cert.validity.notBefore = new Date(nowAtMs - DAY_MS);
  cert.validity.notAfter = new Date(nowAtMs + days * DAY_MS);
  const subject = [{ name: 'commonName', value: name }];
  cert.setSubject(subject);
  cert.setIssuer(by ? forge.pki.certificateFromPem(by.cert).subject.attributes : subject);
  cert.setExtensions([...extensions, { name: 'subjectKeyIdentifier' }]);
  cert.sign(by ? forge.pki.privateKeyFromPem(by.key) : privateKey, forge.md.sha256.create());
  return forge.pki.certificateToPem(cert);
}

const read = (directory: string, name: string): Pair | null => {
  const at = (kind: string) => join(directory, `${name}.${kind}`);
  return existsSync(at('key')) && existsSync(at('crt'))
    ? { key: readFileSync(at('key'), 'utf8'), cert: readFileSync(at('crt'), 'utf8') }
    : null;
};

function keep(directory: string, name: string, pair: Pair): Pair {
  const keyPath = join(directory, `${name}.key`);
  writeFileSync(keyPath, pair.key, { mode: 0o600 });
  chmodSync(keyPath, 0o600);
  writeFileSync(join(directory, `${name}.crt`), pair.cert);
  return pair;
}

const endsAtMs = (cert: string) => Date.parse(new X509Certificate(cert).validTo);

async function authorityIn(directory: string, nowAtMs: number): Promise<Pair> {
  const held = read(directory, 'authority');
  if (held && endsAtMs(held.cert) > nowAtMs + SERVER_DAYS * DAY_MS) return held;
  const key = newKey();
  const name = words.authority(randomBytes(3).toString('hex'));
  const cert = await issue(
    name,
    key,
    AUTHORITY_DAYS,
    nowAtMs,
    [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
    null,
  );
  return keep(directory, 'authority', { key, cert });
}

/** Whether a certificate stands for all of these names and addresses. */
function standsFor(cert: string, names: readonly string[]): boolean {
  const x = new X509Certificate(cert);
  return names.every((n) => (isIP(n) ? x.checkIP(n) : x.checkHost(n)) !== undefined);
}

/** The certificate made here for these names and addresses. */
export async function madeCertificate(
  directory: string,
  names: readonly string[],
  nowAtMs: number,
): Promise<Certificate> {
  mkdirSync(directory, { recursive: true, mode: 0o700 });
  const authority = await authorityIn(directory, nowAtMs);
  const held = read(directory, 'server');
  const fits =
    held !== null &&
    endsAtMs(held.cert) > nowAtMs + EARLY_DAYS * DAY_MS &&
    standsFor(held.cert, names) &&
    new X509Certificate(held.cert).checkIssued(new X509Certificate(authority.cert));
  if (fits) return { ...held, authority: authority.cert };
  const key = newKey();
  const altNames = names.map((n) => (isIP(n) ? { type: 7, ip: n } : { type: 2, value: n }));
  const cert = await issue(
    names.find((n) => !isIP(n)) ?? names[0] ?? 'localhost',
    key,
    SERVER_DAYS,
    nowAtMs,
    [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames },
    ],
    authority,
  );
  return { ...keep(directory, 'server', { key, cert }), authority: authority.cert };
}

/** The grower's own, from two files; throws a sentence where they do not go together. */
export function ownCertificate(certPath: string, keyPath: string): Certificate {
  const file = (path: string, what: string) => {
    try {
      return readFileSync(path, 'utf8');
    } catch {
      throw new Error(`${what}: expected a file that can be read, not “${path}”.`);
    }
  };
  const cert = file(certPath, 'FOGATA_CERT');
  const key = file(keyPath, 'FOGATA_KEY');
  let x: X509Certificate;
  try {
    x = new X509Certificate(cert);
  } catch {
    throw new Error('FOGATA_CERT: expected a certificate in PEM.');
  }
  if (Date.parse(x.validTo) < Date.now())
    throw new Error(`FOGATA_CERT: expected a certificate that has not ended; this one did on ${x.validTo}.`);
  return { key, cert, authority: null };
}

/** What a grower compares before trusting it: SHA-256 in pairs. */
export const fingerprintOf = (cert: string): string => new X509Certificate(cert).fingerprint256;

/** The key's own hash, as browsers name it. */
export function spkiOf(cert: string): string {
  const der = new X509Certificate(cert).publicKey.export({ type: 'spki', format: 'der' });
  return createHash('sha256').update(der).digest('base64');
}
