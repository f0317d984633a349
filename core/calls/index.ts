export * from './book.ts';
export * from './combination.ts';
export * from './parse.ts';
export * from './say.ts';
export * from './match.ts';
export * from './recipe.ts';
