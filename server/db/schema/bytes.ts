import { customType } from 'drizzle-orm/pg-core';

/** A column of bytes. */
export const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
