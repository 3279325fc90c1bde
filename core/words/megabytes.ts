/** How large something is, as makers read it: `0.4 MB`, `12.0 MB`. Of 2^20 bytes each, as the limits of the server are. */
export const megabytes = (bytes: number): string => `${Math.max(0.1, bytes / 1024 / 1024).toFixed(1)} MB`;
