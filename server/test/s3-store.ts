import { CreateBucketCommand, S3Client } from '@aws-sdk/client-s3';
import { join } from 'node:path';
import S3rver from 's3rver';
import type { S3Settings } from '../storage/s3.ts';

const credentials = { accessKeyId: 'S3RVER', secretAccessKey: 'S3RVER' };

/** A server that speaks S3, with an empty bucket, keeping what it is given below `home`. */
export async function startS3(home: string): Promise<{ settings: S3Settings; stop: () => Promise<void> }> {
  const server = new S3rver({ address: '127.0.0.1', port: 0, silent: true, directory: join(home, 's3') });
  const { port } = await server.run();
  const settings = { endpoint: `http://127.0.0.1:${port}`, region: 'us-east-1', bucket: 'films', ...credentials };
  const client = new S3Client({ endpoint: settings.endpoint, region: settings.region, credentials, forcePathStyle: true });
  await client.send(new CreateBucketCommand({ Bucket: settings.bucket }));
  let stopped: Promise<void> | undefined;
  return { settings, stop: () => (stopped ??= server.close()) };
}
