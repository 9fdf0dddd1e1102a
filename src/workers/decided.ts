/** Per cent from which on a long job is done whole: stopping it comes too late. */
export const DECIDED_PERCENT = 90;
