import type { Response } from 'express';

/** Sends a PDF to be kept, or looked at beside the page. @param name of the file, without its ending */
export const sendPdf = (response: Response, name: string, pdf: Buffer): void =>
  void response.attachment(`${name}.pdf`).set('Cache-Control', 'private, no-store').type('application/pdf').send(pdf);
