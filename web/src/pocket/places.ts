// The addresses that are more than kept answers here, and what stands in each.
export const RUN = /^\/api\/runs\/(\d+)$/;
export const STAGE = /^\/api\/runs\/(\d+)\/stage$/;
export const AT_BENCH = /^\/api\/runs\/\d+\/bench\/\d+$/;
export const LEARNT = /^\/api\/benders\/\d+\/bends$/;
export const RUNS = /^\/api\/jobs\/(\d+)\/runs$/;
/** A run that was made here; what follows its number. */
export const MADE = /^\/api\/runs\/(-\d+)(\/.*)?$/;
