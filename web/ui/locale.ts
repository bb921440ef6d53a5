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
/** "" where prices are told as bare numbers. */
export const chosenCurrency = (): string => read('currency');

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

/** "£3.20", as the cook's currency is written; "3.20" where none is chosen. */
export function money(amount: number): string {
  const currency = chosenCurrency();
  return currency === ''
    ? amount.toLocaleString(locale(), { minimumFractionDigits: 2, maximumFractionDigits: 2 })
    : amount.toLocaleString(locale(), { style: 'currency', currency });
}

/** "19 Nov 2026" of "2026-11-19", in one piece. */
export const date = (iso: string): string =>
  new Date(`${iso}T12:00:00`)
    .toLocaleDateString(locale(), { day: 'numeric', month: 'short', year: 'numeric' })
    .replace(/ /g, '\u00a0');
