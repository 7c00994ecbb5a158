import { MOST_BYTES } from '@/core/files/limits';

export { bringPaper } from './commands';
export const paperLimit = MOST_BYTES;
