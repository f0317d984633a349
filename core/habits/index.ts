export * from './falling-hands.ts';
export * from './first-moves.ts';
export * from './habits.ts';
export * from './moving-part.ts';
export * from './over-sessions.ts';
