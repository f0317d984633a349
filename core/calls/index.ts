export * from './book.ts';
export * from './combination.ts';
export * from './parse.ts';
export * from './in-words.ts';
export * from './match.ts';
export * from './recipe.ts';
export * from './recipe-in-words.ts';
export * from './called-out.ts';
