export const surfaces = ['hard-road', 'grass', 'wet-hard-sand', 'gravel', 'soft-dry-sand', 'shallow-mud', 'bog'] as const;
export type Surface = (typeof surfaces)[number];
export const depths = ['none', 'hubs', 'sills', 'roof'] as const;
export type Depth = (typeof depths)[number];
export const soils = ['sand', 'loam', 'silt', 'clay-or-bog'] as const;
