export * from './entries';
export * from './findings';
export * from './measurements';
export * from './photos';
export * from './screenings';
export * from './teach';
