/** The ports of the servers that browser tests run against, one for each worker. */
export const e2ePorts = (): readonly string[] => (process.env.E2E_PORTS ?? '4317').split(',');
