type Environment = Readonly<Record<string, string | undefined>>;
export function listeningHost(environment: Environment): string;
export function startFault(environment: Environment, port: number): string | null;
export function listenFault(error: { readonly code?: string }, port: number): string;
