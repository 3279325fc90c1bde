/** Windows of the sizes that readers have, in CSS pixels. */
export const screens = {
  phone: { title: 'Phone', width: 390, height: 844 },
  tablet: { title: 'Tablet', width: 820, height: 1180 },
  desktop: { title: 'Desktop', width: 1280, height: 800 },
  projector: { title: 'Projector', width: 1920, height: 1080 },
} as const;

export type ScreenName = keyof typeof screens;
const names = Object.keys(screens) as ScreenName[];

/** Those that are looked at: one by its name, or all that a reader holds or sits before. */
export const screensOf = (chosen: string): readonly ScreenName[] => {
  const one = names.filter((name) => name === chosen);
  return one.length > 0 ? one : ['phone', 'tablet', 'desktop'];
};
