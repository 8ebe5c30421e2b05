export * from './faults';
export * from './fault-picture';
export * from './rounds';
export * from './edges';
export * from './sign-off';
export * from './cured';
export * from './visits';
