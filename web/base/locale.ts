/** How this cook writes dates and money, where it is to be other than the browser has it. Kept in this browser. */
const kept = { locale: 'vinculum-locale', currency: 'vinculum-currency' } as const;

const read = (name: keyof typeof kept): string => {
  try {
    return localStorage.getItem(kept[name]) ?? '';
  } catch {
    return '';
  }
};

/** "" where it is as the browser has it. */
export const chosenLocale = (): string => read('locale');
/** "" where it is as the browser's region has it, `none` where prices are told as bare numbers. */
export const chosenCurrency = (): string => read('currency');

/** What is paid with in a region (ISO 4217 and 3166); of others nothing is guessed. */
const currencies: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    ['AT', 'BE', 'DE', 'ES', 'FI', 'FR', 'GR', 'IE', 'IT', 'LU', 'NL', 'PT'].map((region) => [region, 'EUR']),
  ),
  AU: 'AUD',
  CA: 'CAD',
  CH: 'CHF',
  DK: 'DKK',
  GB: 'GBP',
  IN: 'INR',
  JP: 'JPY',
  MX: 'MXN',
  NO: 'NOK',
  NZ: 'NZD',
  SE: 'SEK',
  US: 'USD',
  ZA: 'ZAR',
};

/** The currency that prices are told in; null where it is not known. */
export function currency(): string | null {
  const chosen = chosenCurrency();
  if (chosen !== '') return chosen === 'none' ? null : chosen;
  const region = (locale() ?? Intl.NumberFormat().resolvedOptions().locale).split('-').at(-1);
  return currencies[region ?? ''] ?? null;
}

export function choose(name: keyof typeof kept, value: string): void {
  try {
    if (value === '') localStorage.removeItem(kept[name]);
    else localStorage.setItem(kept[name], value);
  } catch {
    // a browser that keeps nothing goes on with its own
  }
}

/** For toLocaleString and its kin. */
export const locale = (): string | undefined => chosenLocale() || undefined;

const formats = new Map<string, Intl.NumberFormat>();

function number(value: number, least: number, most: number): string {
  const key = `${locale() ?? ''} ${least} ${most}`;
  let format = formats.get(key);
  if (format === undefined) {
    format = new Intl.NumberFormat(locale(), {
      minimumFractionDigits: least,
      maximumFractionDigits: most,
      useGrouping: false,
    });
    formats.set(key, format);
  }
  return format.format(value);
}

/** With so many places, and the decimal sign of this cook: "2.50", "2,50". For the eye alone, not for a recipe's text. */
export const fixed = (value: number, places: number): string => number(value, places, places);
/** With so many places at most: "2.5", "2". */
export const upTo = (value: number, places: number): string => number(value, 0, places);

/** "." or ",". */
export const decimalSign = (): string => fixed(0.5, 1).charAt(1);

/** "£3.20", as the cook's currency is written; "3.20" where it is not known. */
export function money(amount: number): string {
  const paidIn = currency();
  return paidIn === null
    ? amount.toLocaleString(locale(), { minimumFractionDigits: 2, maximumFractionDigits: 2 })
    : amount.toLocaleString(locale(), { style: 'currency', currency: paidIn });
}

/** "19 Nov 2026" of "2026-11-19", in one piece. */
export const date = (iso: string): string =>
  new Date(`${iso}T12:00:00`)
    .toLocaleDateString(locale(), { day: 'numeric', month: 'short', year: 'numeric' })
    .replace(/ /g, '\u00a0');
