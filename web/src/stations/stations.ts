/** The stations that exist, in the order of the work, each with the letter that goes to it. */
export const stations = [
  { name: 'fruit', title: 'Fruit', letter: 'f' },
  { name: 'batch', title: 'Batch', letter: 'b' },
  { name: 'stove', title: 'Stove', letter: 's' },
  { name: 'tray', title: 'Tray', letter: 't' },
  { name: 'shelf', title: 'Shelf', letter: 'h' },
  { name: 'kitchen', title: 'Kitchen', letter: 'k' },
] as const
