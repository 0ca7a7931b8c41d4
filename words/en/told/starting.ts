/** Said in the terminal to whoever starts the server. Contract: one line each; a value is put in as it comes. */
const quoted = (text: string | undefined) => `“${text}”`;

export const starting = {
  opensShared: 'Opening the PostgreSQL server that DATABASE_URL names.',
  opens: (directory: string) => `Opening ${directory}`,
  makes: (directory: string) => `Making a new database in ${directory} (some seconds)`,
  restored: (directory: string, counts: Record<string, number>) =>
    `Restored into ${directory}: ${Object.entries(counts)
      .map(([table, n]) => `${n} ${table}`)
      .join(', ')}.`,
  demo: 'Loaded the demo farm, Rescoldo.',
  practice:
    'Practice: on a copy of the farm, under invented weather. Nothing of it is kept, nothing reaches the farm.',
  openToAll:
    '▲ Open to the network. Without HTTPS anyone on it can read what is sent, and phones cannot keep the app for offline: docs/network.md.',
  isAt: (kind: 'demo' | 'practice' | null, address: string) =>
    `Fogata ${kind ? `(${kind}) ` : ''}is at ${address}`,
  trust: (portAndPath: string, fingerprint: string) =>
    `Phones: open http://<this machine>:${portAndPath} once and trust it, after comparing its SHA-256: ${fingerprint} (docs/network.md)`,
  closing: 'Closing.',

  /** What a phone that trusts it shows. */
  authority: (mark: string) => `Fogata farm ${mark}`,

  bothOrNeither: 'FOGATA_CERT and FOGATA_KEY: expected both, or neither.',
  noBackupThere: (file: string) =>
    `--practice: expected a backup's file, made in Kit, Files; ${quoted(file)} is not there.`,
  noPasscode: (host: string) =>
    `HOST=${host} opens the farm to the network: set FOGATA_PASSCODE to a passcode of eight letters or more first.`,
  notAPort: (port: string | undefined) => `PORT: expected a number from 1 to 65535, not ${quoted(port)}.`,
  notThreads: (threads: string | undefined) =>
    `FOGATA_THREADS: expected a number from 1 to 64, not ${quoted(threads)}.`,
  portTaken: (port: string) => `Port ${port} is taken. Set PORT to another one.`,
  notWritable: (code: string, why: string) => `The data directory cannot be written (${code}): ${why}`,
  noDatabase: 'The PostgreSQL server that DATABASE_URL names does not answer.',
  failed: (why: string, stack: string) => `Fogata could not start: ${why}\n${stack}`,

  notRenewed: (why: string) => `The certificate was not renewed: ${why}`,
  noFirstNight: (why: string) => `The first night was not worked out: ${why}`,
};
