import { request } from 'node:http';
import { buffer } from 'node:stream/consumers';
import { Visitor } from './server-under-test.ts';

/** A visitor who asks by a host name, as a proxy hands it on; `fetch` lets nobody set it. */
export class VisitorAt extends Visitor {
  constructor(
    base: string,
    readonly host: string,
    cookie = '',
  ) {
    super(base, cookie);
  }

  protected override send(path: string, { method, headers, body }: RequestInit): Promise<Response> {
    return new Promise((resolve, reject) => {
      const told = { ...Object.fromEntries(new Headers(headers)), host: this.host };
      const asked = request(this.base + path, { method, headers: told }, (answer) => {
        const { statusCode: status, rawHeaders } = answer;
        const answered = new Headers(
          rawHeaders.flatMap((name, place): [string, string][] => (place % 2 ? [] : [[name, rawHeaders[place + 1]!]])),
        );
        buffer(answer).then((bytes) => resolve(new Response(bytes.length ? bytes : null, { status, headers: answered })), reject);
      });
      asked.once('error', reject);
      asked.end(body as string | Uint8Array | undefined);
    });
  }
}
