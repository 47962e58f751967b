/** The stations that exist, in the order of the work, each with the letter that goes to it. */
export const stations = [
  { name: 'fruit', title: 'Fruit', letter: 'f' },
  { name: 'batch', title: 'Batch', letter: 'b' },
  { name: 'kitchen', title: 'Kitchen', letter: 'k' },
] as const
