export * from './playhead';
