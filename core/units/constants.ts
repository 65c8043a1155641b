/** Standard gravity, m/s². */
export const G = 9.80665;
/** Density of air near the sea, kg/m³. */
export const AIR_DENSITY = 1.225;
/** Density of water, kg/m³. */
export const FRESH_WATER = 1000;
export const SALT_WATER = 1025;
/** Density of steel and lead, kg/m³. */
export const STEEL = 7850;
export const LEAD = 11340;
/** Share of the room of a place that can be filled with things. Rule of thumb. */
export const USABLE_SHARE = 0.8;
