import type { Response } from 'express';

/** Sends a file of this machine to be kept, or the rest of it to whoever goes on where it stopped. @param name that it is kept under */
export const sendDownload = (response: Response, path: string, name: string): Promise<void> =>
  new Promise((resolve, reject) =>
    response.download(path, name, { dotfiles: 'allow', cacheControl: false }, (error) =>
      error && !response.headersSent ? reject(error) : resolve(),
    ),
  );
