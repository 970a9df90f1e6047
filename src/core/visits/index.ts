export * from './contact-said';
export * from './day-said';
export * from './deeds';
export * from './doing-in-words';
export * from './open-items';
