import { z } from 'zod';
import { refusals } from '../words/refusals.ts';

const say = refusals.sentences;
const WANTED: Record<string, string> = {
  number: say.number,
  int: say.number,
  string: say.text,
  boolean: say.yesNo,
  array: say.list,
  tuple: say.list,
  object: say.fields,
  record: say.fields
};

type Bound = { origin: string; inclusive?: boolean };

function tooBig({ origin, inclusive = true }: Bound, maximum: number | bigint): string {
  const n = String(maximum);
  if (origin === 'string') return say.lettersMost(n);
  if (origin === 'array') return say.listMost(n);
  return inclusive ? say.most(n) : say.under(n);
}

function tooSmall({ origin, inclusive = true }: Bound, minimum: number | bigint): string {
  const n = String(minimum);
  if (origin === 'string') return say.lettersLeast;
  if (origin === 'array') return say.listLeast(n);
  return inclusive ? say.least(n) : say.over(n);
}

/** What is wrong, in a sentence, where a schema has none of its own: nobody is to read the words of a checker. */
z.config({
  customError: (issue) => {
    switch (issue.code) {
      case 'invalid_type':
        return issue.input === undefined ? say.wanted : (WANTED[issue.expected] ?? say.other);
      case 'invalid_value':
        return say.oneOf(issue.values.map(String).join(', '));
      case 'too_big':
        return tooBig(issue, issue.maximum);
      case 'too_small':
        return tooSmall(issue, issue.minimum);
      case 'invalid_format':
        return say.form;
      case 'invalid_union':
        return issue.input === undefined ? say.wanted : say.other;
      default:
        return say.other;
    }
  }
});
