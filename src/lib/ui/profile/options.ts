/** Choices of a list of names, in its order. */
export const optionsOf = <T extends string>(names: Record<T, string>) =>
  (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }));
