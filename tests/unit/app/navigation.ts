/** Stands in for the framework's navigation: looks at the data are counted, and each ends when the test lets it. */
export const looks: { key: string; end: () => void }[] = [];

export function invalidate(key: string): Promise<void> {
  return new Promise((resolve) => looks.push({ key, end: resolve }));
}

export async function goto(): Promise<void> {}
