// What the steps of a lesson are called.
export const KINDS = {
  read: 'Read about',
  spot: 'Spot it',
  rehearse: 'Rehearse dry',
  practise: 'Practise in Fly',
  fly: 'Fly with a craft',
  debrief: 'Talk it over',
} as const;
