import { Box, Button, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Frame } from '../../ui/Frame';
import { grams } from '../../ui/words';
import { KitchenHabits } from '../../ui/KitchenHabits';
import { Pick } from '../../ui/Pick';
import { choose, chosenCurrency, chosenLocale, date, money } from '../../base/locale';
import { say } from './sentences';

const locales: readonly (readonly [string, string])[] = [
  ['en-GB', say.englishUk],
  ['en-US', say.englishUs],
  ['en-AU', say.englishAustralia],
  ['de-DE', say.deutsch],
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
    document.title = say.settingsVinculum;
  }, []);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Frame>
      <Box sx={{ maxWidth: 620, pt: 2, display: 'grid', gap: 2 }}>
        <Typography variant="h1">{say.settings}</Typography>
        <label>
          <Box component="span" sx={caption}>
            {say.datesAndNumbers}
          </Box>
          <Pick
            value={locale}
            onPick={(picked) => {
              choose('locale', picked);
              setLocale(picked);
            }}
          >
            <option value="">{say.asThisBrowserWritesThem}</option>
            {locales.map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Pick>
        </label>
        <label>
          <Box component="span" sx={caption}>
            {say.prices}
          </Box>
          <Pick
            value={currency}
            onPick={(picked) => {
              choose('currency', picked);
              setCurrency(picked);
            }}
          >
            <option value="">{say.asUsualInTheRegion}</option>
            <option value="none">{say.asBareNumbers}</option>
            {currencies.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </Pick>
        </label>
        <KitchenHabits />
        {/* what is kept in the browser is no state: another choice is another example */}
        <Example key={`${locale} ${currency}`} />
        <Typography sx={{ color: 'text.secondary' }}>{say.timesAndSeasonsFollowThis(zone)}</Typography>
        <Box>
          <Button component={Link} to="/backups" variant="outlined">
            {say.backupsAndExport}
          </Button>
        </Box>
      </Box>
    </Frame>
  );
}

function Example() {
  return <Typography data-example>{say.soWhatARecipeSays(date('2026-11-28'), money(3.2), grams(1250))}</Typography>;
}

const caption = { display: 'block', fontSize: '0.85rem', color: 'text.secondary' } as const;
