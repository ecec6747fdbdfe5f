/** A whole number with its thousands set apart. */
export const grouped = (n: number): string => n.toLocaleString('en');
