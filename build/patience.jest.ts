// What a screen is to show is waited for as long as a machine takes that does five other things.
if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/react');
  configure({ asyncUtilTimeout: 60_000 });
}

export {};
