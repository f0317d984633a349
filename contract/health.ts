import { object, string, type InferType } from 'yup';
import { endpoint } from './endpoint.ts';

const part = () => object({ state: string().oneOf(['up', 'down']).required(), detail: string().required() }).required();

/** Whether each part of the application works, for whoever watches over it. Answered without signing in. */
export const healthShape = object({ database: part(), worker: part(), storage: part() });
export type Health = InferType<typeof healthShape>;

/** 200 when everything is up, 503 otherwise; the body says which. */
export const healthEndpoints = { health: endpoint('GET', '/api/health', 'anyone', { reply: healthShape }) };
