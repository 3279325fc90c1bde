/** For a year browsers come here by HTTPS alone (RFC 6797, section 6.1). Of this host: others are not ours to speak for. */
export const strictTransport = 'max-age=31536000';
