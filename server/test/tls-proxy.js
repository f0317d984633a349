// A proxy as it stands before a club’s server: it ends https and says who asked. Words: port of the server, key, certificate.
import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { createServer } from 'node:https';

const [port, key, certificate] = process.argv.slice(2);
const proxy = createServer({ key: readFileSync(key), cert: readFileSync(certificate) }, (asked, answer) => {
  const headers = {
    ...asked.headers,
    'x-forwarded-for': asked.socket.remoteAddress,
    'x-forwarded-proto': 'https',
    'x-forwarded-host': asked.headers.host,
  };
  const onward = request({ host: '127.0.0.1', port, path: asked.url, method: asked.method, headers }, (told) => {
    answer.writeHead(told.statusCode, told.headers);
    told.pipe(answer);
  });
  onward.on('error', () => answer.writeHead(502).end());
  asked.pipe(onward);
});
proxy.listen(0, '127.0.0.1', () => process.stdout.write(`${proxy.address().port}\n`));
