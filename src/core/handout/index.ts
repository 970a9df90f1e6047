export * from './glyphs';
export * from './handout';
export * from './week';
