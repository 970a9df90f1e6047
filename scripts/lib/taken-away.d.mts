export function shareTaken(before: string, after: string): number | null;
export function takenAway(): () => string;
