export function squeeze(folder: string): Promise<void>;
