/** The colour of what is in the glass, as a CSS colour of the tokens. */
const byWord: [string, string][] = [
  ['peach', 'peach'],
  ['nectarine', 'peach'],
  ['apricot', 'peach'],
  ['mango', 'peach'],
  ['citrus', 'pineapple'],
  ['pineapple', 'pineapple'],
  ['orange', 'pineapple'],
  ['lemon', 'pineapple'],
  ['mixed', 'pineapple'],
  ['asian-pear', 'pear'],
  ['pear', 'pear'],
  ['gooseberry', 'pear'],
  ['apple', 'apple'],
  ['quince', 'apple'],
  ['cherr', 'cherry'],
  ['rhubarb', 'cherry'],
  ['strawberr', 'cherry'],
  ['raspberr', 'cherry'],
  ['currant', 'cherry'],
  ['plum', 'plum'],
  ['grape', 'plum'],
  ['fig', 'plum'],
  ['berr', 'berry'],
]

export function tint(product: string, kind = ''): string {
  if (product === 'grapes') return 'var(--color-pear)'
  for (const word of [kind, product]) {
    const found = byWord.find(([part]) => word.includes(part))
    if (found) return `var(--color-${found[1]})`
  }
  return 'var(--color-apple)'
}

/** Whether light letters are to stand on a tint. */
export const isDark = (colour: string) => /plum|berry|cherry/.test(colour)
