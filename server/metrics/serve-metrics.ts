import { createServer, type Server } from 'node:http';
import type { Logger } from 'pino';
import { collectDefaultMetrics, Registry } from 'prom-client';

/** What a process counts; its own use of time and memory is among it. @param part which process it is */
export function registryOf(part: 'server' | 'worker'): Registry {
  const registry = new Registry();
  registry.setDefaultLabels({ part });
  collectDefaultMetrics({ register: registry, prefix: 'wax_' });
  return registry;
}

/**
 * Tells it in the text form of Prometheus, on a port of its own: whoever watches over a machine has no account in the club, and no
 * browser of the club has anything to look for there.
 */
export function serveMetrics(registry: Registry, { port, host }: { port: number; host: string }, log: Logger): Server {
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/metrics') return response.writeHead(404).end();
    return void registry.metrics().then(
      (text) => response.setHeader('Content-Type', registry.contentType).end(text),
      (error: unknown) => {
        log.error(error);
        response.writeHead(500).end();
      },
    );
  });
  server.on('error', (error) => log.error(error));
  return server.listen(port, host);
}
