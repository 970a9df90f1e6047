export * from './cue';
export * from './own-pace';
export * from './playhead';
export * from './session';
