import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

export default { turbopack: { root: dirname(dirname(dirname(fileURLToPath(import.meta.url)))) } };
