/** With `__Host-`, browsers take the cookie only over HTTPS, from this very host, for all of it (RFC 6265bis). */
export const cookieName = (secure: boolean): string => (secure ? '__Host-kite_wall' : 'kite_wall');
