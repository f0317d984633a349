/** The address of a database beside the one that is given. */
export const databaseNamed = (given: string, name: string): string => given.replace(/\/[^/]*$/, `/${name}`);
