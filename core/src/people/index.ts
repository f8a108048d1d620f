export * from './absence.ts';
export * from './kinds.ts';
export * from './inductions.ts';
export * from './inToday.ts';
export * from './attendance.ts';
