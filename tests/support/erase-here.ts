/** Stands in for the thread that erases where nothing is built: it erases on the spot. */
export { eraseJob as eraseInThread } from '@/server/erase-job';
