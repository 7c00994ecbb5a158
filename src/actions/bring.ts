import { MOST_BYTES } from '@/core/papers/cells';

export { bringPaper } from './papers';
export const paperLimit = MOST_BYTES;
