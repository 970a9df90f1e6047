export function isNoPath(url: string): boolean;
