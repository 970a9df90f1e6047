/** What the holds of the trunk share. Doses are common practice, no source. */
export const TRUNK = {
  family: 'Trunk endurance',
  region: 'low back',
  purpose: 'endure',
  mode: 'held',
} as const;
export const TRUNK_DOSES = {
  'descending-sets': '6-4-2 hold 10-15s rest 20-30s daily',
  lengthen: '3-5x10s gap 10s daily',
} as const;
export const EACH_SIDE_DOSES = {
  'descending-sets': '6-4-2 hold 10-15s rest 20-30s each side daily',
  lengthen: '3-5x10s gap 10s each side daily',
} as const;
