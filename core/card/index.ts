export * from './still-roles.ts';
export * from './shown-part.ts';
export * from './turns-wrong.ts';
export * from './card-stills.ts';
