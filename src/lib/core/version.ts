/** Version of the computation. Raise it whenever any result could change; snapshots carry it. */
export const CORE_VERSION = '1.5.0';
