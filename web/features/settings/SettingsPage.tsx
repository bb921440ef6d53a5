import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Frame } from '../../ui/Frame';
import { grams } from '../../ui/words';
import { Pick } from '../../ui/Pick';
import { choose, chosenCurrency, chosenLocale, date, money } from '../../ui/locale';

const locales: readonly (readonly [string, string])[] = [
  ['en-GB', 'English (UK)'],
  ['en-US', 'English (US)'],
  ['en-AU', 'English (Australia)'],
  ['de-DE', 'Deutsch'],
  ['fr-FR', 'français'],
  ['es-ES', 'español'],
  ['it-IT', 'italiano'],
  ['ja-JP', '日本語'],
];
const currencies = ['GBP', 'EUR', 'USD', 'AUD', 'CAD', 'CHF', 'DKK', 'INR', 'JPY', 'MXN', 'NOK', 'NZD', 'SEK', 'ZAR'];

/** How dates and money are written here, and the way to what is kept. */
export function SettingsPage() {
  const [locale, setLocale] = useState(chosenLocale);
  const [currency, setCurrency] = useState(chosenCurrency);
  useEffect(() => {
    document.title = 'Settings · Vinculum';
  }, []);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Frame>
      <Box sx={{ maxWidth: 620, pt: 2, display: 'grid', gap: 2 }}>
        <Typography variant="h1">Settings</Typography>
        <label>
          <Box component="span" sx={caption}>
            Dates and numbers
          </Box>
          <Pick
            value={locale}
            onPick={(picked) => {
              choose('locale', picked);
              setLocale(picked);
            }}
          >
            <option value="">as this browser writes them</option>
            {locales.map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Pick>
        </label>
        <label>
          <Box component="span" sx={caption}>
            Prices
          </Box>
          <Pick
            value={currency}
            onPick={(picked) => {
              choose('currency', picked);
              setCurrency(picked);
            }}
          >
            <option value="">as usual in the region</option>
            <option value="none">as bare numbers</option>
            {currencies.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </Pick>
        </label>
        {/* what is kept in the browser is no state: another choice is another example */}
        <Example key={`${locale} ${currency}`} />
        <Typography sx={{ color: 'text.secondary' }}>
          Times and seasons follow this browser’s time zone, {zone}: south of the equator damsons are ripe in March.
        </Typography>
        <Box>
          <Button component={Link} to="/backups" variant="outlined">
            Backups and export
          </Button>
        </Box>
      </Box>
    </Frame>
  );
}

function Example() {
  return (
    <Typography data-example>
      So: {date('2026-11-28')}, {money(3.2)}, {grams(1250)}. What a recipe says stays as it was written.
    </Typography>
  );
}

const caption = { display: 'block', fontSize: '0.85rem', color: 'text.secondary' } as const;
