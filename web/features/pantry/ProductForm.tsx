import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import { api, type PantryItem, type Product, type ProductRequest, Refusal } from '../../api/client';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { Pick } from '../../ui/Pick';
import { say } from './sentences';

type Figure = 'fat' | 'carbohydrate' | 'sugars' | 'protein' | 'salt' | 'sodium' | 'acidity' | 'shu' | 'serving_grams';

const figures: readonly { field: Figure; name: string; unit: string }[] = [
  { field: 'fat', name: say.fat, unit: 'g' },
  { field: 'carbohydrate', name: say.carbohydrate, unit: 'g' },
  { field: 'sugars', name: say.ofWhichSugars, unit: 'g' },
  { field: 'protein', name: say.protein, unit: 'g' },
  { field: 'salt', name: say.salt, unit: 'g' },
  { field: 'sodium', name: say.orSodium, unit: 'mg' },
  { field: 'acidity', name: say.acidity, unit: '%' },
  { field: 'shu', name: say.scovilleIfStated, unit: 'SHU' },
];

interface Props {
  product: Product | null;
  like: PantryItem;
  name?: string;
  generics: readonly PantryItem[];
  onDone: () => void;
  onClose: () => void;
}

const read = (text: string): number | null => {
  const trimmed = text.trim().replace(',', '.');
  return trimmed === '' ? null : Number(trimmed);
};

/** A product from its label: what the label leaves out is taken from the ingredient it is most like. */
export function ProductForm({ product, like, name: suggested, generics, onDone, onClose }: Props) {
  const [name, setName] = useState(product?.name ?? suggested ?? '');
  const [likeKey, setLikeKey] = useState(product?.like ?? like.key);
  const [typed, setTyped] = useState<Partial<Record<Figure, string>>>(() =>
    Object.fromEntries(
      Object.entries(product?.label ?? {})
        .filter(([, value]) => typeof value === 'number')
        .map(([field, value]) => [field, String(value)]),
    ),
  );
  const [perServing, setPerServing] = useState(product?.label.per_serving === true);
  const [ingredients, setIngredients] = useState(product?.label.ingredients ?? '');
  const [standsIn, setStandsIn] = useState(product?.stands_in ?? true);
  const [inStock, setInStock] = useState(product?.in_stock ?? true);
  const [price, setPrice] = useState(product?.price === null || product === null ? '' : String(product.price));
  const [pack, setPack] = useState(product?.pack_grams === null || product === null ? '' : String(product.pack_grams));
  const [fault, setFault] = useState<string | null>(null);

  const save = async () => {
    const notNumbers = Object.entries(typed).filter(([, text]) => Number.isNaN(read(text)));
    if (notNumbers.length > 0) {
      setFault(say.isNotANumberWrite(notNumbers[0]?.[1]));
      return;
    }
    const label: ProductRequest['label'] = {
      per_serving: perServing,
      ingredients: ingredients === '' ? null : ingredients,
    };
    for (const [field, text] of Object.entries(typed)) label[field as Figure] = read(text);
    const entry: ProductRequest = {
      name,
      like: likeKey,
      stands_in: standsIn,
      in_stock: inStock,
      price: read(price),
      pack_grams: read(pack),
      label,
    };
    try {
      await (product === null ? api.addProduct(entry) : api.editProduct(product.id, entry));
      onDone();
    } catch (reason) {
      setFault(reason instanceof Refusal ? reason.message : say.theKitchenServerDoesNot);
    }
  };

  return (
    <Dialog open onClose={onClose} aria-labelledby="product-title" maxWidth="sm" fullWidth>
      <DialogTitle id="product-title">{product === null ? say.aProductOfMyOwn : product.name}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box component="label">
          {say.whatICallIt}
          <TextInput
            value={name}
            maxLength={100}
            autoFocus
            onText={(text) => {
              setName(text);
            }}
            sx={wide}
          />
        </Box>
        <Box component="label">
          {say.mostLikeForAllThe}
          <Pick
            value={likeKey}
            onPick={(picked) => {
              setLikeKey(picked);
            }}
            sx={wide}
          >
            {generics.map((one) => (
              <option key={one.key} value={one.key}>
                {one.name}
              </option>
            ))}
          </Pick>
        </Box>
        <Box component="fieldset" sx={{ border: '1px solid', borderColor: 'divider', m: 0, p: 1.5 }}>
          <legend>{say.fromTheLabel}</legend>
          <Check checked={perServing} onCheck={setPerServing}>
            {say.perServingOf}
            <TextInput
              aria-label={say.gramsInAServing}
              inputMode="decimal"
              value={typed.serving_grams ?? ''}
              disabled={!perServing}
              onText={(text) => {
                setTyped({ ...typed, serving_grams: text });
              }}
              sx={{ width: 80 }}
            />
            {say.gOtherwisePer100G}
          </Check>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1, mt: 1 }}>
            {figures.map(({ field, name: title, unit }) => (
              <Box component="label" key={field} sx={{ fontSize: '0.9rem' }}>
                {title}, {unit}
                <TextInput
                  inputMode="decimal"
                  value={typed[field] ?? ''}
                  onText={(text) => {
                    setTyped({ ...typed, [field]: text });
                  }}
                  sx={wide}
                />
              </Box>
            ))}
          </Box>
          <Box component="label" sx={{ display: 'block', mt: 1 }}>
            {say.listOfIngredientsForThe}
            <TextInput
              rows={2}
              value={ingredients}
              onText={(text) => {
                setIngredients(text);
              }}
              sx={{ ...wide, py: 0.75 }}
            />
          </Box>
        </Box>
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <Box component="label" sx={{ flex: 1 }}>
            {say.priceOfAPack}
            <TextInput
              inputMode="decimal"
              value={price}
              onText={(text) => {
                setPrice(text);
              }}
              sx={wide}
            />
          </Box>
          <Box component="label" sx={{ flex: 1 }}>
            {say.packG}
            <TextInput
              inputMode="decimal"
              value={pack}
              onText={(text) => {
                setPack(text);
              }}
              sx={wide}
            />
          </Box>
        </Box>
        <Check checked={standsIn} onCheck={setStandsIn}>
          {say.useItWheneverALine}
        </Check>
        <Check checked={inStock} onCheck={setInStock}>
          {say.inStock}
        </Check>
        {fault !== null && <Typography role="alert">{fault}</Typography>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say.back}</Button>
        <Button variant="contained" onClick={() => void save()}>
          {say.keepIt}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const wide = { width: '100%' } as const;
