import { MOST_BYTES } from '@/core/files/limits';

export { bringPaper } from './papers';
export const paperLimit = MOST_BYTES;
