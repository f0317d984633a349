// A thread begins without what reads TypeScript in the process that started it.
import { register } from 'tsx/esm/api';

register();
export const { followBody, lookOnce, whoStrikes } = await import('./pose-work.ts');
