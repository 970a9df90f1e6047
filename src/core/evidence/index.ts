export * from './facts';
export * from './file';
export * from './guard';
export * from './leaving';
export * from './tables';
