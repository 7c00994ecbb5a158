import { spawnSync } from 'node:child_process';

/** The bundle of the threads that read files, made once before all tests. */
export default (): void => {
  const { status } = spawnSync(
    process.execPath,
    ['-e', "import('./scripts/provision.mjs').then((all) => all.ensureWorker())"],
    {
      stdio: 'inherit',
    },
  );
  if (status !== 0) throw new Error('the reading worker could not be built');
};
