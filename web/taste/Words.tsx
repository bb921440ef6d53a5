import { Box } from '@mui/material';
import type { Kitchen, Said } from '../shared/api';

export type Strength = Said['strength'];

interface Props {
  complaints: Kitchen['complaints'];
  says: ReadonlyMap<string, Strength>;
  onSay: (next: (says: ReadonlyMap<string, Strength>) => ReadonlyMap<string, Strength>) => void;
}

const strengths: readonly (readonly [Strength, string])[] = [
  ['little', 'a little'],
  ['clear', 'clearly'],
  ['far', 'far'],
];

/** Big words to tap; each that is tapped asks how strongly. */
export function Words({ complaints, says, onSay }: Props) {
  const say = (key: string, strength: Strength | null) => {
    onSay((now) => {
      const next = new Map(now);
      if (strength === null) next.delete(key);
      else next.set(key, strength);
      return next;
    });
  };
  return (
    <Box
      role="group"
      aria-label="What the tongue says"
      sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 1 }}
    >
      {complaints.map((one) => {
        const strength = says.get(one.key);
        const isSaid = strength !== undefined;
        return (
          <Box key={one.key} sx={isSaid ? saidBox : box}>
            <Box
              component="button"
              type="button"
              data-word={one.key}
              aria-pressed={isSaid}
              onClick={() => {
                say(one.key, isSaid ? null : 'clear');
              }}
              sx={word}
            >
              {one.says}
            </Box>
            {isSaid && (
              <Box
                role="radiogroup"
                aria-label={`How ${one.says}`}
                sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr' }}
              >
                {strengths.map(([key, how]) => (
                  <Box
                    component="button"
                    type="button"
                    key={key}
                    role="radio"
                    aria-checked={strength === key}
                    data-strength={key}
                    onClick={() => {
                      say(one.key, key);
                    }}
                    sx={degree}
                  >
                    {how}
                  </Box>
                ))}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

const box = {
  border: '2px solid',
  borderColor: 'text.secondary',
  borderRadius: '3px',
  bgcolor: 'background.paper',
} as const;
const saidBox = { ...box, borderColor: 'bar.rule', gridColumn: '1 / -1' } as const;
const word = {
  font: 'inherit',
  fontSize: '1.25rem',
  fontWeight: 700,
  width: '100%',
  minHeight: 60,
  border: 0,
  bgcolor: 'transparent',
  color: 'text.primary',
  cursor: 'pointer',
  '&[aria-pressed="true"]': { textDecoration: 'underline', textDecorationThickness: '3px', textUnderlineOffset: '5px' },
} as const;
const degree = {
  font: 'inherit',
  fontWeight: 600,
  minHeight: 48,
  border: 0,
  borderTop: '1px solid',
  borderColor: 'divider',
  bgcolor: 'transparent',
  color: 'text.primary',
  cursor: 'pointer',
  '&[aria-checked="true"]': { bgcolor: 'bar.window', boxShadow: 'inset 0 3px 0 currentColor' },
} as const;
