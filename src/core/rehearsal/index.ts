export * from './kinds';
export * from './programme';
export {
  type RehearsalFacts,
  type RehearsedCourse,
  type WholeCourse,
  rehearse,
  rehearseWhole,
} from './rehearse';
