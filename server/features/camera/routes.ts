import { cameraEndpoints } from '@wax-fist/contract/camera';
import { cameraFindings } from '@wax-fist/core/setup';
import type { Router } from 'express';
import { Refusal } from '../../http/refusal.ts';
import { serve } from '../../http/serve.ts';
import { lookAtPicture } from '../../pose/look-once.ts';
import type { Services } from '../../services.ts';

export function cameraRoutes(router: Router, { settings }: Services): void {
  serve(router, cameraEndpoints.lookAtPicture, async ({ body: { width, height, rgb, view, stance } }) => {
    if (!settings.pose) throw new Refusal(409, 'Bodies are not looked for on this server: check the picture yourself.');
    const picture = { width, height, rgb: new Uint8Array(Buffer.from(rgb, 'base64')) };
    return { findings: cameraFindings(await lookAtPicture(picture), { view, stance }) };
  });
}
