// The application's server: the built pages behind the gate. PORT and HOST say where it listens.
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import next from 'next';
import { SAFE_HEADERS, contentPolicy, hostsOf, isPage, refusalOf, withoutClaims } from './gate.mjs';

const dir = dirname(fileURLToPath(import.meta.url));
const port = Number(process.env.PORT ?? 3000);
const hostname = process.env.HOST ?? '127.0.0.1';
const hosts = hostsOf();

const app = next({ dev: false, dir, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();

function refuse(res, { status, message }) {
  res.writeHead(status, { 'content-type': 'application/json; charset=utf-8', connection: 'close' });
  res.end(JSON.stringify({ status: 'refused', message }));
}

const server = createServer((req, res) => {
  for (const [name, value] of Object.entries(SAFE_HEADERS)) res.setHeader(name, value);
  const no = refusalOf(req, hosts);
  if (no) return refuse(res, no);
  withoutClaims(req.headers);
  if (isPage(req.url)) {
    // the framework reads the nonce out of the policy of the request and puts it on its own scripts
    const nonce = randomBytes(16).toString('base64');
    const policy = contentPolicy(nonce);
    req.headers['content-security-policy'] = policy;
    req.headers['x-nonce'] = nonce;
    res.setHeader('content-security-policy', policy);
  }
  handle(req, res).catch((e) => {
    console.error(e);
    if (!res.headersSent) refuse(res, { status: 500, message: 'The server failed at this.' });
    else res.destroy();
  });
});

server.listen(port, hostname);
const end = () => {
  server.close();
  server.closeIdleConnections();
  // what is under way may finish, but not for ever
  setTimeout(() => process.exit(0), 3000).unref();
  setInterval(() => server.closeIdleConnections(), 100).unref();
  server.on('close', () => process.exit(0));
};
// the start command is gone, however it went: nobody keeps this one up any more
if (process.channel) process.on('disconnect', end);
process.on('SIGTERM', end);
process.on('SIGINT', end);
