import { type Address, addressFrom } from '@/core/access/address';

/** Taken where variables do not fit together: the start is ended then (`serve`), and until it is nobody counts as being at this machine. */
const NOWHERE: Address = { listens: '', open: true, publicUrl: undefined, secure: false };

/** Where this server is reached. */
export const address = (): Address => {
  const found = addressFrom(process.env);
  return typeof found === 'string' ? NOWHERE : found;
};
