import { Box, Button, Typography } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, type PantryItem, type Product, type Spoonful } from '../../api/client';
import { pantryQuery, spoonfulsQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { Frame } from '../../ui/Frame';
import { CompositionKey } from './CompositionBar';
import { PantryRow } from './PantryRow';
import { SpoonfulsIn } from './SpoonfulsIn';
import { ProductForm } from './ProductForm';
import { TextInput } from '../../ui/TextInput';
import { Choice } from '../../ui/Choice';
import { say } from './sentences';

const doings = [
  { key: 'sweet', name: say.sweetens, role: 'sweetener' },
  { key: 'sour', name: say.sharpens, role: 'acid' },
  { key: 'salt', name: say.salts, role: 'salt' },
  { key: 'umami', name: say.deepens, role: 'umami' },
  { key: 'heat', name: say.heats, role: 'heat' },
  { key: 'fat', name: say.enriches, role: 'fat' },
  { key: 'body', name: say.thickens, role: 'thickener' },
] as const;
type Doing = (typeof doings)[number]['key'] | 'all' | 'own';
const filters: readonly (readonly [Doing, string])[] = [
  ['all', say.everything],
  ...doings.map((one) => [one.key, one.name] as const),
  ['own', say.myOwn],
];

const movesOf = (doing: Doing, spoonful: Spoonful | undefined): number =>
  doing === 'all' || doing === 'own' || doing === 'fat' || doing === 'body' ? 0 : (spoonful?.moves[doing] ?? 0);

/** Own products first, then what moves the wanted axis most, then what takes the least for a step of anything. */
const byStrengthFor =
  (doing: Doing, inSauce: ReadonlyMap<string, Spoonful>) =>
  (a: PantryItem, b: PantryItem): number =>
    Number(b.own) - Number(a.own) ||
    movesOf(doing, inSauce.get(b.key)) - movesOf(doing, inSauce.get(a.key)) ||
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
    document.title = say.pantryVinculum;
  }, []);

  const items = useMemo(() => pantry.data?.ingredients ?? [], [pantry.data]);
  const generics = useMemo(() => items.filter((one) => !one.own).sort((a, b) => a.name.localeCompare(b.name)), [items]);
  const sauce = asked.get('sauce');
  const spoonfuls = useQuery({ ...spoonfulsQuery(Number(sauce)), enabled: sauce !== null });
  const inSauce = useMemo(
    () => new Map(sauce === null ? [] : spoonfuls.data?.spoonfuls.map((one) => [one.ingredient, one])),
    [sauce, spoonfuls.data],
  );
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
          : byStrengthFor(doing, inSauce),
      );
  }, [items, doing, sought, inSauce]);

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
    setAsked(sauce === null ? {} : { sauce }, { replace: true });
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
          {say.pantry}
        </Typography>
        <TextInput
          type="search"
          aria-label={say.findAnIngredient}
          placeholder={say.findAnIngredient}
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
          {say.addAProductOfMine}
        </Button>
      </Box>
      <Box sx={{ py: 1 }}>
        <Choice label={say.whatItDoes} options={filters} value={doing} onChoose={setDoing} />
      </Box>
      <SpoonfulsIn
        sauce={sauce}
        count={pantry.isSuccess ? shown.length : null}
        isEmpty={spoonfuls.isSuccess && spoonfuls.data.spoonfuls.length === 0}
        onSauce={(picked) => {
          setAsked(picked === null ? {} : { sauce: picked }, { replace: true });
        }}
      />
      {spoonfuls.isError && <Typography role="alert">{spoonfuls.error.message}</Typography>}
      <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
        <CompositionKey />
      </Box>
      {pantry.isError && <Typography role="alert">{pantry.error.message}</Typography>}
      {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
      {doing === 'own' && shown.length === 0 && <Typography>{say.nothingOfYourOwnYet}</Typography>}
      {doing !== 'own' && pantry.isSuccess && shown.length === 0 && <Typography>{say.nothingOfThatNameTry}</Typography>}
      <Box component="ul" data-pantry sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0 }}>
        {shown.map((item) => (
          <PantryRow
            key={item.key}
            item={item}
            spoonful={inSauce.get(item.key)}
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
