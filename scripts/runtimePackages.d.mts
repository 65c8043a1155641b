export const readWhereTheyLie: string[];
export const fontPackages: string[];
