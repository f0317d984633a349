/** A number with its doubt, or why there is none. */
export type Measured =
  | { value: number; /** Standard error, in the unit of the measure. */ doubt: number }
  | { value: undefined; /** Why there is none, and what to film instead. */ reason: string };
