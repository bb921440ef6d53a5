import { Box, Button } from '@mui/material';
import { memo } from 'react';
import type { PantryItem, Product, Spoonful } from '../../api/client';
import { fixed } from '../../base/locale';
import { RowButton } from '../../ui/RowButton';
import { axisKeys, axisNames, figure, grams, shortUnit } from '../../ui/words';
import { CompositionBar, inWords } from './CompositionBar';
import { say } from './sentences';

const gradeWords: Record<string, string> = {
  A: say.measuredForThisProduct,
  B: say.fromAPublishedTable,
  C: say.typicalOfItsKind,
  D: say.aGuess,
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
const piece = (measure: string): string => measure.replace(/ whole$/, say.piece);

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
              {say.mine(product?.in_stock)}
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
              {say.noTasteOfItsOwn}
            </Box>
          ) : (
            <>
              <strong>{piece(item.lever.measure)}</strong>
              {say.forAStepOf(axisNames[item.lever.axis].toLowerCase())}
            </>
          )}
        </Box>
      </RowButton>
      {isOpen && (
        <Box sx={{ pb: 1.5, px: 0.5, fontSize: '0.92rem', display: 'grid', gap: 0.75 }}>
          <Box sx={{ display: { xs: 'block', sm: 'none' } }}>
            <CompositionBar parts={item.parts} />
          </Box>
          <div>{say.in100GSpoken(inWords(item.parts, 9))}</div>
          <div>
            {axisKeys
              .filter((key) => item.tastes[key] > 0)
              .map((key) => `${axisNames[key]} ${figure(item.tastes[key])} ${shortUnit(key)}`)
              .join(' · ')}
            {item.nose_heat > 0 ? say.noseHeatMg100G(figure(item.nose_heat)) : ''}
            {item.ph === null ? '' : say.ph(fixed(item.ph, 1))}
            {item.lever === null ? '' : say.oneStepIsALitre(grams(item.lever.grams))}
          </div>
          {item.allergens.length > 0 && <div>{say.holds(item.allergens.join(', '))}</div>}
          <div>
            {say.howSure(
              Object.entries(item.grades)
                .filter(([group]) => group !== 'other')
                .map(([group, grade]) => `${group} ${grade}`)
                .join(', '),
            )}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              (
              {[...new Set(Object.values(item.grades))]
                .sort()
                .map((grade) => `${grade}: ${gradeWords[grade] ?? ''}`)
                .join('; ')}
              )
            </Box>
          </div>
          <div>{say.from(item.sources.join('; '))}</div>
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button
              variant="outlined"
              onClick={() => {
                onMakeMine(item);
              }}
            >
              {product === null ? say.iHaveOneOfThese : say.changeIt}
            </Button>
            {product !== null && (
              <Button
                onClick={() => {
                  onTakeOut(product);
                }}
              >
                {say.deleteIt}
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
