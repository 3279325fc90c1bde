/** The time zone of this device: what is written is meant by its clocks. */
export const ownTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
