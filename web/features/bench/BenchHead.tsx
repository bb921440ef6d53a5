import { Box, Chip, InputBase, Typography } from '@mui/material';
import type { Balance, Kitchen, Sauce } from '../../api/client';
import { Pick } from '../../ui/Pick';
import { displayFont } from '../../ui/theme/index';
import { millilitres } from '../../ui/words';
import { BenchTools } from './BenchTools';
import { FamilyGuess } from './FamilyGuess';
import { RatioHand } from './RatioHand';
import { SauceHead } from '../sauce/SauceHead';
import type { Bench } from './useBench';
import { say } from './sentences';

interface Props {
  bench: Bench;
  kitchen: Kitchen;
  report: Balance | null;
  /** As it was last stored, until it is weighed anew. */
  early: Partial<Sauce['standing']> | null;
}

/** The sauce's head where it is being written: name and family can be changed in it. */
export function BenchHead({ bench, kitchen, report, early }: Props) {
  const { draft } = bench;
  const isThere = report !== null && !bench.isEmpty;
  const ratio = isThere ? report.ratios.sweet_to_sour : (early?.sweet_to_sour ?? null);
  const volume = isThere ? report.batch.millilitres : early?.millilitres;
  return (
    <SauceHead
      sauce={bench.sauce}
      at="bench"
      colour={isThere ? report.colour : (early?.colour ?? null)}
      ratio={ratio}
      hand={ratio === null ? undefined : <RatioHand bench={bench} ratio={ratio} />}
      title={
        <InputBase
          value={draft.title}
          fullWidth
          placeholder={say.nameOfTheSauce}
          onChange={(event) => {
            bench.set('title', event.target.value);
          }}
          slotProps={{ input: { 'aria-label': say.nameOfTheSauce, maxLength: 200, sx: { p: 0, height: 36 } } }}
          sx={{ fontFamily: displayFont, fontWeight: 600, fontSize: { xs: '1.3rem', sm: '1.6rem' }, lineHeight: 1.15 }}
        />
      }
      says={
        <>
          <Family bench={bench} kitchen={kitchen} />
          {bench.isPresumed && bench.style !== null ? (
            <Presumed family={bench.style} bench={bench} />
          ) : draft.style === null && report !== null ? (
            <FamilyGuess
              offered={report.offered}
              kitchen={kitchen}
              onTake={(key) => {
                bench.set('style', key);
              }}
            />
          ) : (
            volume !== undefined && (
              <Typography component="span" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
                {millilitres(volume)}
              </Typography>
            )
          )}
        </>
      }
      tools={<BenchTools bench={bench} />}
    />
  );
}

/** The cook's word on what the sauce looks like. */
function Presumed({ family, bench }: { family: Kitchen['styles'][number]; bench: Bench }) {
  return (
    <Box component="span" sx={{ display: 'inline-flex', gap: 0.75 }}>
      <Chip
        variant="outlined"
        label={say.itIsThat}
        aria-label={say.itIsNamed(family.name)}
        data-family={family.key}
        onClick={() => {
          bench.set('style', family.key);
        }}
        sx={{ borderColor: 'bar.preview', fontWeight: 600 }}
      />
      <Chip
        variant="outlined"
        label={say.itIsNotThat}
        aria-label={say.itIsNotNamed(family.name)}
        data-no-family
        onClick={bench.refuseFamily}
      />
    </Box>
  );
}

function Family({ bench, kitchen }: { bench: Bench; kitchen: Kitchen }) {
  const { draft, isPresumed, style } = bench;
  return (
    <Pick
      aria-label={say.family}
      value={draft.style ?? (isPresumed ? presumedOption : '')}
      onPick={(picked) => {
        if (picked === '' && isPresumed) bench.refuseFamily();
        else bench.set('style', picked === '' ? null : picked);
      }}
      sx={{
        fontSize: '0.95rem',
        minHeight: 28,
        bgcolor: 'transparent',
        '& select': { py: '2px !important', pl: '4px !important' },
        '&& .MuiOutlinedInput-notchedOutline': { borderColor: 'transparent' },
        '&&:hover .MuiOutlinedInput-notchedOutline, &&.Mui-focused .MuiOutlinedInput-notchedOutline': {
          borderColor: 'text.secondary',
        },
      }}
    >
      {isPresumed && style !== null && <option value={presumedOption}>{say.perhapsFamily(style.name)}</option>}
      <option value="">{say.noFamily}</option>
      {byName(kitchen.styles).map((one) => (
        <option key={one.key} value={one.key}>
          {one.name}
        </option>
      ))}
    </Pick>
  );
}

/** Stands in the list for what it looks like; no family has such a key. */
const presumedOption = '?';

function byName(styles: Kitchen['styles']) {
  return [...styles].sort((one, other) => one.name.localeCompare(other.name));
}
