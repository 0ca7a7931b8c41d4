/**
 * One port for both: HTTPS is served; plain HTTP gets only the farm's authority to trust, and the way to HTTPS. Contract:
 * `frontDoor` gives a server to listen with; nothing of the farm leaves it unencrypted.
 */
import {
  createServer as createHttp,
  type IncomingMessage,
  type RequestListener,
  type Server,
} from 'node:http';
import { createServer as createHttps } from 'node:https';
import { createServer as createNet, type Server as NetServer } from 'node:net';
import type { Certificate } from './tls';

/** First byte of a TLS handshake. */
const HANDSHAKE = 22;
export const AUTHORITY_PATH = '/authority.crt';
/** Who says nothing for so long is let go. */
const SILENT_MS = 10_000;

export interface FrontDoor {
  server: NetServer;
  /** Another certificate from now on, under the same authority. */
  renew: (certificate: Certificate) => void;
  close: () => void;
}

function plainHttp(certificate: Certificate, names: ReadonlySet<string>): Server {
  return createHttp((req: IncomingMessage, res) => {
    if (req.url === AUTHORITY_PATH && certificate.authority !== null) {
      res.writeHead(200, {
        'content-type': 'application/x-x509-ca-cert',
        'content-disposition': 'attachment; filename="fogata-authority.crt"',
      });
      res.end(certificate.authority);
      return;
    }
    const host = req.headers.host ?? '';
    const name = host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
    if (!names.has(name.toLowerCase())) {
      res.writeHead(421).end();
      return;
    }
    res.writeHead(308, { location: `https://${host}${req.url ?? '/'}` }).end();
  });
}

export function frontDoor(
  app: RequestListener,
  certificate: Certificate,
  names: ReadonlySet<string>,
): FrontDoor {
  const secure = createHttps({ key: certificate.key, cert: certificate.cert }, app);
  const plain = plainHttp(certificate, names);
  const server = createNet((socket) => {
    socket.setTimeout(SILENT_MS, () => socket.destroy());
    socket.on('error', () => socket.destroy());
    socket.once('readable', () => {
      const first = socket.read(1) as Buffer | null;
      if (first === null) return;
      socket.unshift(first);
      socket.setTimeout(0);
      (first[0] === HANDSHAKE ? secure : plain).emit('connection', socket);
    });
  });
  return {
    server,
    renew: ({ key, cert }) => secure.setSecureContext({ key, cert }),
    close: () => {
      server.close();
      secure.closeAllConnections();
      plain.closeAllConnections();
    },
  };
}
