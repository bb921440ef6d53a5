import { decimalSign } from '../base/locale';

/** Where the kitchen's answers hold sentences and measures for the eye; a recipe's own text stands under other names. */
const sentences = new Set([
  'asks',
  'cautions.text',
  'cooling_rule',
  'measure',
  'note',
  'notes',
  'parts.words',
  'reasons',
  'says',
  'side_effects',
  'traditions',
  'verdict',
  'why',
]);

/** A figure of a sentence has at most two places before its point and two behind it; a paragraph of a law has more. */
const figures = /(?<![\d.-])(\d{1,2})\.(\d{1,2})(?!\d|\.\d)/g;

/** What was answered, its sentences with the decimal sign of this cook: "pH 3,4". */
export function told<Answer>(answer: Answer): Answer {
  const sign = decimalSign();
  return sign === '.' ? answer : (rewritten(answer, '', sign) as Answer);
}

function rewritten(value: unknown, name: string, sign: string): unknown {
  if (typeof value === 'string') return sentences.has(name) ? value.replace(figures, `$1${sign}$2`) : value;
  if (Array.isArray(value)) return value.map((one: unknown) => rewritten(one, name, sign));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, one]) => [
      key,
      rewritten(one, key === 'text' || key === 'words' ? `${name}.${key}` : key, sign),
    ]),
  );
}
