export * from './body';
export * from './irritability';
export * from './nerve';
export * from './report';
