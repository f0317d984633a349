import { journalEndpoints, type JournalLine } from '@wax-fist/contract/journal';
import { csvOf, csvRows } from '@wax-fist/core/formats';
import type { Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { serve } from '../../http/serve.ts';
import type { Services } from '../../services.ts';
import { journalPage, wholeJournal } from './queries.ts';

const columns = ['when', 'who', 'account', 'act', 'kind', 'thing', 'trainee', 'trainee id', 'changed', 'values'];
const cells = ({ at, account, act, kind, thing, trainee, fields, values }: JournalLine) => [
  ...[at, account?.name ?? '', account?.id ?? 'by a link', act, kind, thing, trainee?.name ?? '', trainee?.id ?? ''],
  ...[fields.join(' '), values ? JSON.stringify(values) : ''],
];

export function journalRoutes(router: Router, { db }: Services): void {
  serve(router, journalEndpoints.showJournal, ({ query }) => journalPage(db, query));
  serve(router, journalEndpoints.journalFile, async ({ query, response }) => {
    response.attachment('journal.csv').set('Cache-Control', 'private, no-store').type('text/csv; charset=utf-8');
    async function* text(): AsyncGenerator<string> {
      yield csvOf(columns, []);
      for await (const lines of wholeJournal(db, query)) yield csvRows(lines.map(cells));
    }
    await pipeline(Readable.from(text()), response);
  });
}
