import type { Response } from 'express';

/** A file to be kept, never shown in the place of a page. */
export const asFile = (response: Response, file: string, type: string, content: string | Buffer): void =>
  void response
    .attachment(file)
    .set('Cache-Control', 'private, no-store')
    .type(typeof content === 'string' ? `${type}; charset=utf-8` : type)
    .send(content);
