import { Box, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { shelfQuery } from '../../api/queries';
import { Pick } from '../../ui/Pick';
import { say } from './sentences';

interface Props {
  /** The sauce that is looked at; null for a litre of middling balance. */
  sauce: string | null;
  /** How many ingredients are shown; null before any is known. */
  count: number | null;
  /** Nothing of the sauce counts yet. */
  isEmpty: boolean;
  onSauce: (sauce: string | null) => void;
}

/** What the figures beside the ingredients are of: a litre, or a spoonful in a sauce of the shelf. */
export function SpoonfulsIn({ sauce, count, isEmpty, onSauce }: Props) {
  const shelf = useQuery(shelfQuery());
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 0.5, mb: 1 }}>
      <Pick
        aria-label={say.whatItDoesWhere}
        value={sauce ?? ''}
        onPick={(picked) => {
          onSauce(picked === '' ? null : picked);
        }}
      >
        <option value="">{say.inALitreOfMiddling}</option>
        {shelf.data?.sauces.map((one) => (
          <option key={one.id} value={String(one.id)}>
            {say.inIt(one.title)}
          </option>
        ))}
      </Pick>
      <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>{say.shown(isEmpty, sauce, count)}</Typography>
    </Box>
  );
}
