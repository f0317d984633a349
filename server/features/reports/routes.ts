import { reportEndpoints, type Paper } from '@wax-fist/contract/reports';
import type { Report } from '@wax-fist/core/report';
import type { Response, Router } from 'express';
import { sendPdf } from '../../http/send-pdf.ts';
import { serve } from '../../http/serve.ts';
import { reportPdf } from '../../pdf/report-pdf.ts';
import type { Services } from '../../services.ts';
import { classOfDay } from './class-of-day.ts';
import { reportOfBlock, reportOfSession } from './gather.ts';

const send = async (response: Response, reports: readonly Report[], paper: Paper): Promise<void> => {
  const [{ title, name, covers }] = reports as [Report];
  sendPdf(
    response,
    reports.length > 1 ? `${reports.length} reports` : `${title}, ${name}, ${covers}`,
    await reportPdf(reports, paper),
  );
};

export function reportRoutes(router: Router, { db }: Services): void {
  serve(router, reportEndpoints.sessionReport, ({ params }) => reportOfSession(db, params.sessionId));
  serve(router, reportEndpoints.blockReport, ({ params, query }) => reportOfBlock(db, params.traineeId, query));
  serve(router, reportEndpoints.classOfDay, ({ query }) => classOfDay(db, query.day));
  serve(router, reportEndpoints.sessionReportsPdf, async ({ query: { of, paper }, response }) => {
    const reports: Report[] = [];
    // One after the other: a class of them would take every connection.
    for (const id of of) reports.push(await reportOfSession(db, id));
    await send(response, reports, paper);
  });
  serve(router, reportEndpoints.blockReportPdf, async ({ params, query, response }) =>
    send(response, [await reportOfBlock(db, params.traineeId, query)], query.paper),
  );
}
