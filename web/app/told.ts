/** What stands in a text as it is: a name, a number, something that was worded already. */
export type Told = string | number;
