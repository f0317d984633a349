// A thread begins without what reads TypeScript in the process that started it.
import { register } from 'tsx/esm/api';

register();
// The runtime tells of every tensor of its models, which nobody asked.
const silent = () => undefined;
Object.assign(console, { warn: silent, info: silent, log: silent, error: silent });
export const { followBody, lookOnce, whoStrikes } = await import('./pose-work.ts');
