/**
 * How the wool comes together: face by face and turned over between; a sheet; one sheet on another with a grid between them, never
 * turned; dabbed on round a ball in rounds; wound into a body, or wadded and wrapped for a stocking; a strip for a tube; a cord.
 */
const LAY_BUILDS = ['turned', 'stacked', 'dabbed', 'wound', 'wrapped', 'strip', 'twisted', 'bare'] as const;
export type LayBuild = (typeof LAY_BUILDS)[number];
