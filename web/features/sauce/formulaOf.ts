import type { Formula, Sauce } from '../../api/client';

/** What is asked of a stored sauce: all that is written of it. */
export const formulaOf = (sauce: Sauce): Formula => {
  const { title, style, measures, part_ml, lines, method, pan, let_go, aim, yield: came } = sauce;
  return { title, style, measures, part_ml, lines, method, pan, let_go, aim, yield: came, sauce: sauce.id };
};

/** A size as it is typed: nothing for as written, "2" for so many times, anything else jars or an amount. */
export const sized = (size: string) => {
  const asked = size.trim();
  return asked === '' ? {} : /^[\d.,]+$/.test(asked) ? { factor: asked.replace(',', '.') } : { to: asked };
};
