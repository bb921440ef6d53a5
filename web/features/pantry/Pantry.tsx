import { Box, Button, Typography } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type PantryItem, type Product } from '../../api/client';
import { pantryQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Frame } from '../../ui/Frame';
import { axisKeys, axisNames, figure, grams, shortUnit } from '../../ui/words';
import { CompositionBar, CompositionKey, inWords } from './CompositionBar';
import { ProductForm } from './ProductForm';
import { TextInput } from '../../ui/TextInput';
import { RowButton } from '../../ui/RowButton';
import { Choice } from '../../ui/Choice';

const doings = [
  { key: 'sweet', name: 'Sweetens', role: 'sweetener' },
  { key: 'sour', name: 'Sharpens', role: 'acid' },
  { key: 'salt', name: 'Salts', role: 'salt' },
  { key: 'umami', name: 'Deepens', role: 'umami' },
  { key: 'heat', name: 'Heats', role: 'heat' },
  { key: 'fat', name: 'Enriches', role: 'fat' },
  { key: 'body', name: 'Thickens', role: 'thickener' },
] as const;
type Doing = (typeof doings)[number]['key'] | 'all' | 'own';
const filters: readonly (readonly [Doing, string])[] = [
  ['all', 'Everything'],
  ...doings.map((one) => [one.key, one.name] as const),
  ['own', 'My own'],
];

const gradeWords: Record<string, string> = {
  A: 'measured for this product',
  B: 'from a published table',
  C: 'typical of its kind',
  D: 'a guess',
};

/** Own products first, then what moves the wanted axis most, then what takes the least for a step of anything. */
const byStrengthFor =
  (doing: Doing) =>
  (a: PantryItem, b: PantryItem): number =>
    Number(b.own) - Number(a.own) ||
    Number(b.lever?.axis === doing) - Number(a.lever?.axis === doing) ||
    (a.lever?.grams ?? 1e9) - (b.lever?.grams ?? 1e9) ||
    a.name.localeCompare(b.name);

const wearsName = (item: PantryItem, wanted: string): boolean =>
  wanted.split(/\s+/).every((word) => `${item.name} ${item.key}`.toLowerCase().includes(word));

/** What there is, by what it does to a sauce. */
export function Pantry() {
  const pantry = useQuery(pantryQuery);
  const queries = useQueryClient();
  const change = useChange<unknown>('pantry', () => queries.invalidateQueries(pantryQuery));
  const [doing, setDoing] = useState<Doing>('all');
  const [wanted, setWanted] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const [form, setForm] = useState<{ product: Product | null; like: PantryItem; name?: string } | null>(null);
  const [asked, setAsked] = useSearchParams();
  const sought = useDeferredValue(wanted.trim().toLowerCase());

  useEffect(() => {
    document.title = 'Pantry · Vinculum';
  }, []);

  const items = useMemo(() => pantry.data?.ingredients ?? [], [pantry.data]);
  const generics = useMemo(() => items.filter((one) => !one.own).sort((a, b) => a.name.localeCompare(b.name)), [items]);
  const shown = useMemo(() => {
    const role = doings.find((one) => one.key === doing)?.role;
    return items
      .filter(
        (one) =>
          (doing === 'own' ? one.own : role === undefined || one.roles.includes(role)) &&
          (sought === '' || wearsName(one, sought)),
      )
      .sort(
        doing === 'all' && sought === ''
          ? (a, b) => Number(b.own) - Number(a.own) || a.name.localeCompare(b.name)
          : byStrengthFor(doing),
      );
  }, [items, doing, sought]);

  const toggle = useCallback((key: string) => {
    setOpen((now) => (now === key ? null : key));
  }, []);
  const makeMine = useCallback(
    (item: PantryItem) => {
      const product = pantry.data?.products.find((one) => one.key === item.key) ?? null;
      setForm({ product, like: item });
    },
    [pantry.data],
  );
  const newOne = asked.get('mine');
  const usual = generics.find((one) => one.key === 'ketchup') ?? generics[0];
  const shownForm =
    form ?? (newOne !== null && usual !== undefined ? { product: null, like: usual, name: newOne } : null);
  const closeForm = () => {
    setForm(null);
    setAsked({}, { replace: true });
  };
  const done = async () => {
    closeForm();
    setWanted('');
    setDoing('own');
    await queries.invalidateQueries(pantryQuery);
  };
  const takeOut = async (product: Product) => {
    await change.make(() => api.removeProduct(product.id));
  };

  return (
    <Frame>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'end',
          gap: 2,
          pt: 3,
          borderBottom: '3px solid',
          borderColor: 'bar.rule',
          pb: 0.75,
        }}
      >
        <Typography variant="h1" sx={{ flex: 1, minWidth: 140 }}>
          Pantry
        </Typography>
        <TextInput
          type="search"
          aria-label="Find an ingredient"
          placeholder="Find an ingredient"
          value={wanted}
          onText={setWanted}
          sx={{ width: { xs: '100%', sm: 240 } }}
        />
        <Button
          variant="contained"
          disabled={generics.length === 0}
          onClick={() => {
            if (usual !== undefined) setForm({ product: null, like: usual });
          }}
        >
          Add a product of mine
        </Button>
      </Box>
      <Box sx={{ py: 1 }}>
        <Choice label="What it does" options={filters} value={doing} onChoose={setDoing} />
      </Box>
      <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary', mb: 1 }}>
        One step is the least anyone notices, in a litre of sauce of middling balance. {shown.length} shown.
      </Typography>
      <CompositionKey />
      {pantry.isError && <Typography role="alert">{pantry.error.message}</Typography>}
      {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
      {doing === 'own' && shown.length === 0 && (
        <Typography>Nothing of your own yet. Take a pack, read its label, and it is used from then on.</Typography>
      )}
      {doing !== 'own' && pantry.isSuccess && shown.length === 0 && (
        <Typography>Nothing of that name. Try a shorter word.</Typography>
      )}
      <Box component="ul" data-pantry sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((item) => (
          <PantryRow
            key={item.key}
            item={item}
            isOpen={open === item.key}
            product={item.own ? (pantry.data?.products.find((one) => one.key === item.key) ?? null) : null}
            onToggle={toggle}
            onMakeMine={makeMine}
            onTakeOut={(product) => void takeOut(product)}
          />
        ))}
      </Box>
      {shownForm !== null && (
        <ProductForm {...shownForm} generics={generics} onDone={() => void done()} onClose={closeForm} />
      )}
    </Frame>
  );
}

interface RowProps {
  item: PantryItem;
  isOpen: boolean;
  product: Product | null;
  onToggle: (key: string) => void;
  onMakeMine: (item: PantryItem) => void;
  onTakeOut: (product: Product) => void;
}

const PantryRow = memo(function PantryRow({ item, isOpen, product, onToggle, onMakeMine, onTakeOut }: RowProps) {
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
          {item.lever === null ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              no taste of its own
            </Box>
          ) : (
            <>
              <strong>{item.lever.measure.replace(/ whole$/, ' piece')}</strong> for a step of{' '}
              {axisNames[item.lever.axis].toLowerCase()}
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
            {item.ph === null ? '' : ` · pH ${item.ph.toFixed(1)}`}
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
