import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import { api, type PantryItem, type Product, type ProductRequest, Refusal } from '../../api/client';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { Pick } from '../../ui/Pick';

type Figure = 'fat' | 'carbohydrate' | 'sugars' | 'protein' | 'salt' | 'sodium' | 'acidity' | 'shu' | 'serving_grams';

const figures: readonly { field: Figure; name: string; unit: string }[] = [
  { field: 'fat', name: 'Fat', unit: 'g' },
  { field: 'carbohydrate', name: 'Carbohydrate', unit: 'g' },
  { field: 'sugars', name: 'of which sugars', unit: 'g' },
  { field: 'protein', name: 'Protein', unit: 'g' },
  { field: 'salt', name: 'Salt', unit: 'g' },
  { field: 'sodium', name: 'or sodium', unit: 'mg' },
  { field: 'acidity', name: 'Acidity', unit: '%' },
  { field: 'shu', name: 'Scoville, if stated', unit: 'SHU' },
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
      setFault(`“${notNumbers[0]?.[1] ?? ''}” is not a number: write it like 12.5.`);
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
      setFault(
        reason instanceof Refusal
          ? reason.message
          : 'The kitchen server does not answer. Nothing typed is lost: try again in a moment.',
      );
    }
  };

  return (
    <Dialog open onClose={onClose} aria-labelledby="product-title" maxWidth="sm" fullWidth>
      <DialogTitle id="product-title">{product === null ? 'A product of my own' : product.name}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box component="label">
          What I call it
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
          Most like (for all the label does not say)
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
          <legend>From the label</legend>
          <Check checked={perServing} onCheck={setPerServing}>
            per serving of
            <TextInput
              aria-label="Grams in a serving"
              inputMode="decimal"
              value={typed.serving_grams ?? ''}
              disabled={!perServing}
              onText={(text) => {
                setTyped({ ...typed, serving_grams: text });
              }}
              sx={{ width: 80 }}
            />
            g (otherwise per 100 g)
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
            List of ingredients (for the allergens)
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
            Price of a pack
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
            Pack, g
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
          use it whenever a line names the plain ingredient
        </Check>
        <Check checked={inStock} onCheck={setInStock}>
          in stock
        </Check>
        {fault !== null && <Typography role="alert">{fault}</Typography>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Back</Button>
        <Button variant="contained" onClick={() => void save()}>
          Keep it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const wide = { width: '100%' } as const;
