import pino, { type DestinationStream, type Logger } from 'pino';
import type { IncomingMessage, ServerResponse } from 'node:http';

/** What the database says of itself when it refuses; its message and detail may hold what was to be written. */
interface DatabaseSays {
  severity?: string;
  code?: string;
  table?: string;
  constraint?: string;
}

const stepsOf = ({ stack = '' }: Error): string[] => stack.split('\n').filter((line) => /^\s+at /.test(line));

/** What went wrong, without what people have typed: of a failed query its text with placeholders, never the values. */
function messageOf(error: Error): string {
  const { query } = error as { query?: unknown };
  const { severity, code } = error as DatabaseSays;
  return typeof query === 'string' ? query : severity ? `${severity} ${code ?? ''}` : error.message;
}

/** An error as the log keeps it, with whatever caused it. */
export function errorForLog(error: unknown): unknown {
  if (!(error instanceof Error)) return { type: typeof error };
  const { code, table, constraint } = error as DatabaseSays;
  const cause = error.cause === undefined ? undefined : errorForLog(error.cause);
  return { type: error.constructor.name, message: messageOf(error), code, table, constraint, stack: stepsOf(error), cause };
}

/** What is told of a request: no cookie, and nothing that was looked for. */
export const requestForLog = ({ method, url, id }: Pick<IncomingMessage, 'method' | 'url'> & { id?: unknown }) => ({
  id,
  method,
  path: url?.split('?')[0],
});
export const responseForLog = ({ statusCode }: Pick<ServerResponse, 'statusCode'>) => ({ status: statusCode });

/** A log that says what happened and where, and never about whom: it lies on disks for longer than a club keeps its people. */
export const openLog = (level: string, name: string, to?: DestinationStream): Logger =>
  pino(
    {
      level,
      name,
      serializers: { err: errorForLog },
      hooks: {
        // An error that is logged by itself gives its own message to the line, values and all.
        logMethod([first, ...rest], write) {
          if (first instanceof Error && rest.length === 0) write.call(this, { err: first }, messageOf(first));
          else write.call(this, first, ...rest);
        },
      },
    },
    to ?? pino.destination(1),
  );
