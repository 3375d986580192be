/** The views in their working order; the digit is the key that opens each. Views not built yet keep their digit free. */
export const views = [
  { path: '/minutes', name: 'Minutes', key: '1' },
  { path: '/way-home', name: 'Way home', key: '2' },
  { path: '/test-flights', name: 'Test flights', key: '3' },
  { path: '/swap-plan', name: 'Swap plan', key: '4' },
] as const;

/** What stands beside the working order. */
export const sideViews = [
  { path: '/kit', name: 'Kit', key: 'K' },
  { path: '/method', name: 'Method', key: null },
] as const;
