export function lateScripts(html: string): string;
