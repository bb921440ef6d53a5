import { fixed, upTo } from '../../base/locale';
import { Box } from '@mui/material';
import type { PantryItem } from '../../api/client';
import { say } from './sentences';

type Part = keyof PantryItem['parts'];

const names: Record<Part, string> = {
  water: say.water,
  sugars: say.sugars,
  acids: say.acids,
  salts: say.saltInIt,
  fat: say.fatInIt,
  protein: say.proteinInIt,
  starch: say.starchAndFibre,
  alcohol: say.alcohol,
  other: say.other,
};

/** Each part has a hatching of its own, so that the bar reads without colour. */
const hatch: Record<Part, string> = {
  water: 'none',
  sugars: 'repeating-linear-gradient(45deg, currentColor 0 2px, transparent 2px 7px)',
  acids: 'repeating-linear-gradient(-45deg, currentColor 0 2px, transparent 2px 4px)',
  salts: 'radial-gradient(currentColor 1.6px, transparent 1.8px)',
  fat: 'repeating-linear-gradient(0deg, currentColor 0 2px, transparent 2px 6px)',
  protein: 'repeating-linear-gradient(90deg, currentColor 0 2px, transparent 2px 6px)',
  starch: 'repeating-linear-gradient(90deg, currentColor 0 1px, transparent 1px 3px)',
  alcohol: 'repeating-linear-gradient(0deg, currentColor 0 1px, transparent 1px 3px)',
  other: 'none',
};

const order: readonly Part[] = ['sugars', 'acids', 'salts', 'fat', 'protein', 'starch', 'alcohol', 'other', 'water'];

const amount = (grams: number): string =>
  grams >= 9.95 ? fixed(grams, 0) : grams >= 0.95 ? upTo(grams, 1) : fixed(grams, 1);

/** What a hundred grams of it are made of, in words: the largest parts first. */
export function inWords(parts: PantryItem['parts'], most = 4): string {
  return order
    .filter((part) => parts[part] >= 0.3 && part !== 'other')
    .sort((a, b) => parts[b] - parts[a])
    .slice(0, most)
    .map((part) => `${names[part]} ${amount(parts[part])}`)
    .join(' · ');
}

/** A hundred grams as a bar: what is dissolved or suspended from the left, water as the empty rest. */
export function CompositionBar({ parts }: { parts: PantryItem['parts'] }) {
  return (
    <Box
      role="img"
      aria-label={say.in100G(inWords(parts, 9))}
      sx={{ display: 'flex', height: 18, border: '1px solid', borderColor: 'text.secondary', color: 'bar.windowEdge' }}
    >
      {order.map((part) =>
        parts[part] < 0.3 ? null : (
          <Box
            key={part}
            title={`${names[part]} ${amount(parts[part])} g`}
            style={{
              width: `${parts[part]}%`,
              backgroundImage: hatch[part],
              backgroundSize: part === 'salts' ? '5px 5px' : undefined,
            }}
            sx={{
              minWidth: part === 'water' ? 0 : 3,
              bgcolor: part === 'water' ? 'transparent' : part === 'other' ? 'bar.track' : 'bar.window',
              borderRight: '1px solid',
              borderColor: 'text.secondary',
              '&:last-child': { borderRight: 0 },
            }}
          />
        ),
      )}
    </Box>
  );
}

/** What the hatchings say, once for the page. */
export function CompositionKey() {
  return (
    <Box
      component="ul"
      aria-label={say.whatTheBarsAreMade}
      sx={{
        listStyle: 'none',
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2,
        rowGap: 0.5,
        m: 0,
        p: 0,
        fontSize: '0.85rem',
      }}
    >
      {order.map((part) => (
        <Box component="li" key={part} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <Box
            aria-hidden
            style={{ backgroundImage: hatch[part], backgroundSize: part === 'salts' ? '5px 5px' : undefined }}
            sx={{
              width: 26,
              height: 14,
              border: '1px solid',
              borderColor: 'text.secondary',
              color: 'bar.windowEdge',
              bgcolor: part === 'water' ? 'transparent' : part === 'other' ? 'bar.track' : 'bar.window',
            }}
          />
          {names[part]}
        </Box>
      ))}
    </Box>
  );
}
