import { Box } from '@mui/material';

interface Props<Key extends string> {
  label: string;
  options: readonly (readonly [Key, string])[];
  value: Key | null;
  onChoose: (key: Key) => void;
  /** Whether the choices lead to panels of the page. */
  controls?: string;
}

/** A row of words of which one is chosen; the chosen one carries the bar. */
export function Choice<Key extends string>({ label, options, value, onChoose, controls }: Props<Key>) {
  const isTabs = controls !== undefined;
  const step = (from: number, by: number) => {
    const next = options[(from + by + options.length) % options.length];
    if (next !== undefined) onChoose(next[0]);
  };
  return (
    <Box role={isTabs ? 'tablist' : 'radiogroup'} aria-label={label} sx={{ display: 'flex', flexWrap: 'wrap' }}>
      {options.map(([key, says], index) => {
        const isChosen = key === value;
        return (
          <Box
            component="button"
            type="button"
            key={key}
            id={isTabs ? `${controls}-${key}` : undefined}
            role={isTabs ? 'tab' : 'radio'}
            aria-selected={isTabs ? isChosen : undefined}
            aria-checked={isTabs ? undefined : isChosen}
            aria-controls={isTabs && isChosen ? controls : undefined}
            tabIndex={isChosen || (value === null && index === 0) ? 0 : -1}
            data-choice={key}
            onClick={() => {
              onChoose(key);
            }}
            onKeyDown={(event: {
              key: string;
              preventDefault: () => void;
              currentTarget: { parentElement: HTMLElement | null };
            }) => {
              const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
              if (by !== 0) {
                event.preventDefault();
                step(index, by);
                const buttons = event.currentTarget.parentElement?.querySelectorAll<HTMLElement>('button');
                buttons?.[(index + by + options.length) % options.length]?.focus();
              }
            }}
            sx={word}
          >
            {says}
          </Box>
        );
      })}
    </Box>
  );
}

const word = {
  font: 'inherit',
  fontWeight: 600,
  minHeight: 44,
  px: { xs: 1.25, md: 1 },
  border: 0,
  borderBottom: '3px solid transparent',
  bgcolor: 'transparent',
  color: 'text.secondary',
  cursor: 'pointer',
  '&:hover': { color: 'text.primary' },
  '&[aria-selected="true"], &[aria-checked="true"]': { color: 'text.primary', borderBottomColor: 'bar.rule' },
} as const;
