import { Box, ButtonBase } from '@mui/material';
import type { Kitchen, Said } from '../../api/client';
import { Degrees } from './Degrees';
import { say } from './sentences';

export type Strength = Said['strength'];

interface Props {
  complaints: Kitchen['complaints'];
  says: ReadonlyMap<string, Strength>;
  onSay: (next: (says: ReadonlyMap<string, Strength>) => ReadonlyMap<string, Strength>) => void;
}

const strengths: readonly (readonly [Strength, string, string])[] = [
  ['little', say.aLittle, say.aLittle],
  ['clear', say.clearly, say.clearly],
  ['far', say.far, say.far],
];

/** Big words to tap; each that is tapped asks how strongly. */
export function Words({ complaints, says, onSay }: Props) {
  const tell = (key: string, strength: Strength | null) => {
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
      aria-label={say.whatTheTongueSays}
      sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 1 }}
    >
      {complaints.map((one) => {
        const strength = says.get(one.key);
        const isSaid = strength !== undefined;
        return (
          <Box key={one.key} sx={isSaid ? saidBox : box}>
            <ButtonBase
              data-word={one.key}
              aria-pressed={isSaid}
              onClick={() => {
                tell(one.key, isSaid ? null : 'clear');
              }}
              sx={word}
            >
              {one.says}
            </ButtonBase>
            {isSaid && (
              <Degrees
                label={say.how(one.says)}
                options={strengths}
                value={strength}
                onChoose={(key) => {
                  tell(one.key, key);
                }}
                attributes={(key) => ({ 'data-strength': key })}
              />
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
