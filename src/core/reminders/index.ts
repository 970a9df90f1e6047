export * from './plan';
export * from './ignored-days';
export * from './not-sent';
export * from './returned-mail';
