/** The stations that exist, in the order of the work, each with the letter that goes to it. */
export const stations = [
  { name: 'fruit', title: 'Fruit', letter: 'f' },
  { name: 'batch', title: 'Batch', letter: 'b' },
  { name: 'day', title: 'Day', letter: 'd' },
  { name: 'stove', title: 'Stove', letter: 's' },
  { name: 'tray', title: 'Tray', letter: 't' },
  { name: 'shelf', title: 'Shelf', letter: 'h' },
  { name: 'almanac', title: 'Almanac', letter: 'a' },
  { name: 'kitchen', title: 'Kitchen', letter: 'k' },
] as const
