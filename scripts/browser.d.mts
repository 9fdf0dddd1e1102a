export function browserPath(): string | null;
export const BROWSER_FLAGS: string[];
