/** A choice that narrows or sorts a list. */
export interface ListChoice {
  /** Its name in the address. */
  readonly name: string;
  readonly label: string;
  readonly choices: readonly { readonly value: string; readonly text: string }[];
  /** What is said of no choice. */
  readonly none: string;
}

/** What a sorted list is sorted by; the first way stands for none. */
export const sortChoice = (ways: readonly string[]): ListChoice => ({
  name: 'sort',
  label: 'Sorted',
  none: `Sorted: ${ways[0] ?? ''}`,
  choices: ways.slice(1).map((way) => ({ value: way, text: `Sorted: ${way}` })),
});

/** Choices that are said as they are called. */
export const narrowedBy = (name: string, label: string, values: readonly string[]): ListChoice => ({
  name,
  label,
  none: `${label}: all`,
  choices: values.map((value) => ({ value, text: value })),
});
