/**
 * Which way the fibres of a layer lie where layers are crossed: the first along, the next across, and so on.
 * @param index from 0, the layer laid first
 * @returns degrees from along. Source: common practice.
 * @example layerDirection(1) // 90
 */
export const layerDirection = (index: number): 0 | 90 => (index % 2 === 0 ? 0 : 90);
