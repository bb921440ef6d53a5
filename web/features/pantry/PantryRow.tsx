import { Box, Button } from '@mui/material';
import { memo } from 'react';
import type { PantryItem, Product, Spoonful } from '../../api/client';
import { fixed } from '../../ui/locale';
import { RowButton } from '../../ui/RowButton';
import { axisKeys, axisNames, figure, grams, shortUnit } from '../../ui/words';
import { CompositionBar, inWords } from './CompositionBar';

const gradeWords: Record<string, string> = {
  A: 'measured for this product',
  B: 'from a published table',
  C: 'typical of its kind',
  D: 'a guess',
};

interface RowProps {
  item: PantryItem;
  /** What a spoonful of it does to the sauce that is looked at, if any. */
  spoonful: Spoonful | undefined;
  isOpen: boolean;
  product: Product | null;
  onToggle: (key: string) => void;
  onMakeMine: (item: PantryItem) => void;
  onTakeOut: (product: Product) => void;
}

/** "1 piece" of what is taken whole. */
const piece = (measure: string): string => measure.replace(/ whole$/, ' piece');

/** What an ingredient does, what it is made of, and where that is known from. */
export const PantryRow = memo(function PantryRow({
  item,
  spoonful,
  isOpen,
  product,
  onToggle,
  onMakeMine,
  onTakeOut,
}: RowProps) {
  return (
    <Box
      component="li"
      data-ingredient={item.key}
      sx={{
        borderBottom: '1px solid',
        borderColor: 'divider',
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 56px',
      }}
    >
      <RowButton
        aria-expanded={isOpen}
        onClick={() => {
          onToggle(item.key);
        }}
        sx={rowButton}
      >
        <Box component="span" sx={{ fontWeight: 700 }}>
          {item.name}
          {item.own && (
            <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
              {' '}
              · mine{product?.in_stock === false ? ', not in stock' : ''}
            </Box>
          )}
        </Box>
        <Box component="span" sx={{ minWidth: 0, display: { xs: 'none', sm: 'block' } }}>
          <CompositionBar parts={item.parts} />
          <Box
            component="span"
            sx={{
              display: 'block',
              fontSize: '0.8rem',
              color: 'text.secondary',
              whiteSpace: 'nowrap',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
            }}
          >
            {inWords(item.parts)}
          </Box>
        </Box>
        <Box component="span" sx={{ textAlign: 'right', fontSize: '0.92rem' }}>
          {spoonful !== undefined ? (
            <span data-spoonful>
              <strong>{piece(spoonful.measure)}</strong>{' '}
              <Box component="span" sx={spoonful.noticed ? {} : { color: 'text.secondary' }}>
                {spoonful.says}
              </Box>
            </span>
          ) : item.lever === null ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              no taste of its own
            </Box>
          ) : (
            <>
              <strong>{piece(item.lever.measure)}</strong> for a step of {axisNames[item.lever.axis].toLowerCase()}
            </>
          )}
        </Box>
      </RowButton>
      {isOpen && (
        <Box sx={{ pb: 1.5, px: 0.5, fontSize: '0.92rem', display: 'grid', gap: 0.75 }}>
          <Box sx={{ display: { xs: 'block', sm: 'none' } }}>
            <CompositionBar parts={item.parts} />
          </Box>
          <div>In 100 g: {inWords(item.parts, 9)}</div>
          <div>
            {axisKeys
              .filter((key) => item.tastes[key] > 0)
              .map((key) => `${axisNames[key]} ${figure(item.tastes[key])} ${shortUnit(key)}`)
              .join(' · ')}
            {item.nose_heat > 0 ? ` · Nose heat ${figure(item.nose_heat)} mg/100 g` : ''}
            {item.ph === null ? '' : ` · pH ${fixed(item.ph, 1)}`}
            {item.lever === null ? '' : ` · one step is ${grams(item.lever.grams)} a litre`}
          </div>
          {item.allergens.length > 0 && <div>Holds {item.allergens.join(', ')}</div>}
          <div>
            How sure:{' '}
            {Object.entries(item.grades)
              .filter(([group]) => group !== 'other')
              .map(([group, grade]) => `${group} ${grade}`)
              .join(', ')}{' '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              (
              {[...new Set(Object.values(item.grades))]
                .sort()
                .map((grade) => `${grade}: ${gradeWords[grade] ?? ''}`)
                .join('; ')}
              )
            </Box>
          </div>
          <div>From: {item.sources.join('; ')}</div>
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button
              variant="outlined"
              onClick={() => {
                onMakeMine(item);
              }}
            >
              {product === null ? 'I have one of these' : 'Change it'}
            </Button>
            {product !== null && (
              <Button
                onClick={() => {
                  onTakeOut(product);
                }}
              >
                Delete it
              </Button>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
});

const rowButton = {
  font: 'inherit',
  color: 'text.primary',
  bgcolor: 'transparent',
  border: 0,
  width: '100%',
  minHeight: 52,
  textAlign: 'left',
  cursor: 'pointer',
  display: 'grid',
  alignItems: 'center',
  columnGap: 2,
  px: 0.5,
  gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 2fr) minmax(0, 3fr) minmax(0, 2fr)' },
  '&:hover': { bgcolor: 'bar.track' },
} as const;
