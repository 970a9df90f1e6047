export function lighten(folder: string): Promise<{ before: number; after: number }>;
