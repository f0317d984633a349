import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join, resolve } from 'node:path';
import { encodings, type Encoding } from './media/review-copy.ts';
import { poseSizes, type PoseSize } from './pose/pose-size.ts';
import type { S3Settings } from './storage/s3.ts';

/** Everything that differs between one machine and another; read once, from the environment. */
export interface Settings {
  home: string;
  /** On which address of this machine it is reached. */
  host: string;
  port: number;
  /** Where server and worker tell what they count, each on a port of its own; absent, they do not. */
  metricsPort?: number;
  workerMetricsPort?: number;
  databaseUrl: string;
  /** Whether that database is the register of many clubs, each with a database of its own, and not that of one. */
  manyClubs: boolean;
  secret: string;
  /** Only over https; off for the loopback start. */
  secureCookie: boolean;
  /** Proxies in front of this server whose word is taken for who asks and whether by https: a number of them, or their addresses. */
  trustProxy: number | string[] | false;
  /** Whether requests are limited that come too often. */
  limits: boolean;
  logLevel: string;
  /** How thoroughly bodies are followed through films; absent, they are not. */
  pose: PoseSize | undefined;
  /** How much work goes into making review copies small. */
  encoding: Encoding;
  /** Bytes of the disk that films never fill. */
  spare: number;
  /** So many days the journal is kept. */
  journalDays: number;
  /** Where films are kept; absent, they lie in the data folder. */
  s3?: S3Settings;
}

const s3Variables = {
  endpoint: 'WAX_S3_ENDPOINT',
  region: 'WAX_S3_REGION',
  bucket: 'WAX_S3_BUCKET',
  accessKeyId: 'WAX_S3_KEY',
  secretAccessKey: 'WAX_S3_SECRET',
} as const;

function s3From(environment: NodeJS.ProcessEnv): S3Settings | undefined {
  if (!environment[s3Variables.endpoint]) return undefined;
  const told: NodeJS.ProcessEnv = { [s3Variables.region]: 'us-east-1', ...environment };
  const missing = Object.values(s3Variables).filter((name) => !told[name]);
  if (missing.length > 0) throw new Error(`${s3Variables.endpoint} is set, but ${missing.join(', ')} is not.`);
  return Object.fromEntries(Object.entries(s3Variables).map(([key, name]) => [key, told[name]])) as unknown as S3Settings;
}

/** A secret kept in the data folder, made at first need and readable by its owner alone. */
export function keptSecret(home: string, name: string): string {
  const file = join(home, name);
  if (!existsSync(file)) {
    mkdirSync(home, { recursive: true });
    writeFileSync(file, randomBytes(24).toString('base64url'), { mode: 0o600 });
  }
  return readFileSync(file, 'utf8').trim();
}

/** @throws Error for what is neither a number of proxies nor a list of their addresses */
function trustedFrom(told: string | undefined): Settings['trustProxy'] {
  if (!told || told === '0') return false;
  if (/^[1-9]$/.test(told)) return Number(told);
  const addresses = told.split(',').map((one) => one.trim());
  const isAddress = (one: string): boolean => one === 'loopback' || one === 'uniquelocal' || isIP(one.split('/')[0]!) > 0;
  if (!addresses.every(isAddress)) throw new Error('WAX_TRUST_PROXY is the number of proxies in front, or their addresses.');
  return addresses;
}

/** @throws Error for what is no size */
function poseFrom(told = 'full'): PoseSize | undefined {
  if (told === 'off') return undefined;
  const size = poseSizes.find((one) => one === told);
  if (!size) throw new Error(`WAX_POSE is one of ${poseSizes.join(', ')} and off.`);
  return size;
}

/** @throws Error for what is none */
function encodingFrom(told = 'veryfast'): Encoding {
  const encoding = encodings.find((one) => one === told);
  if (!encoding) throw new Error(`WAX_ENCODING is one of ${encodings.join(', ')}.`);
  return encoding;
}

/** @throws Error for what is no port */
function portFrom(environment: NodeJS.ProcessEnv, name: string): number | undefined {
  if (!environment[name]) return undefined;
  const port = Number(environment[name]);
  if (!Number.isInteger(port) || port < 0 || port > 65535) throw new Error(`${name} is not a port number.`);
  return port;
}

/** @throws Error for what is no address */
function hostFrom(told = '127.0.0.1'): string {
  if (isIP(told) === 0) throw new Error('WAX_HOST is an address of this machine, or 0.0.0.0 for all of them.');
  return told;
}

/** @throws Error for what is neither */
function manyFrom(told = 'one'): boolean {
  if (told !== 'one' && told !== 'many') throw new Error('WAX_CLUBS is one or many.');
  return told === 'many';
}

/** @throws Error naming the variable that is missing or wrong. */
export function settingsFrom(environment: NodeJS.ProcessEnv): Settings {
  const home = resolve(environment.WAX_HOME ?? '.local');
  const databaseUrl = environment.WAX_DATABASE_URL;
  if (!databaseUrl) throw new Error('WAX_DATABASE_URL says where PostgreSQL is; bin/demo sets it.');
  const spareGigabytes = Number(environment.WAX_SPARE_GB ?? 1);
  if (!(spareGigabytes >= 0)) throw new Error('WAX_SPARE_GB is not a number of gigabytes.');
  const journalDays = Number(environment.WAX_JOURNAL_DAYS ?? 3 * 365);
  if (!(journalDays >= 30)) throw new Error('WAX_JOURNAL_DAYS is not a number of days, at least 30.');
  return {
    home,
    host: hostFrom(environment.WAX_HOST),
    port: portFrom(environment, 'WAX_PORT') ?? 4310,
    metricsPort: portFrom(environment, 'WAX_METRICS_PORT'),
    workerMetricsPort: portFrom(environment, 'WAX_WORKER_METRICS_PORT'),
    journalDays,
    databaseUrl,
    manyClubs: manyFrom(environment.WAX_CLUBS),
    secret: environment.WAX_SECRET ?? keptSecret(home, 'cookie-secret'),
    secureCookie: environment.WAX_SECURE_COOKIE === '1',
    trustProxy: trustedFrom(environment.WAX_TRUST_PROXY),
    pose: poseFrom(environment.WAX_POSE),
    encoding: encodingFrom(environment.WAX_ENCODING),
    limits: environment.WAX_LIMITS !== 'off',
    logLevel: environment.WAX_LOG ?? 'info',
    spare: spareGigabytes * 1e9,
    s3: s3From(environment),
  };
}
