export * from './calendar';
export * from './checks';
export * from './cuts';
export * from './day-time';
export * from './difference';
export * from './look-ahead';
export * from './planned-line';
export * from './sent';
