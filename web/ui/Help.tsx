import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect } from 'react';
import { Link } from 'react-router';

const keys: readonly (readonly [string, string])[] = [
  ['Enter', 'next line, or a new one'],
  ['↑ ↓', 'line above, line below; in the amount: a measurable notch more or less'],
  ['Shift+↑ ↓ in the amount', 'as much as a tongue can notice'],
  ['Ctrl+↑ ↓', 'the same from anywhere in the line'],
  ['Alt+↑ ↓', 'move the line'],
  ['↓ Enter while typing', 'take a name that is offered; Esc to go on typing'],
  ['Backspace on an empty line', 'delete the line'],
  ['Alt+Enter in a line', 'what can be done with it'],
  ['Alt+K · Alt+S in a line', 'lock its amount · swap it'],
  ['Alt+M in a line', 'the next way to fix it: another meaning, its weight, or a line for each of several'],
  ['Alt+A in a line or step', 'set it aside: it is none of the sauce'],
  ['I or M on a line set aside', 'make it an ingredient, or a step of the method'],
  ['Alt+1 … Alt+8', 'add what that correction says'],
  ['Alt+U', 'set the unlocked lines, so that all stands in its windows'],
  ['Alt+L · Alt+C', 'to the lines · to what to add'],
  ['Ctrl+Z · Ctrl+Shift+Z', 'undo · redo, back through the whole visit'],
  ['?', 'this page'],
];

const words: readonly (readonly [string, string])[] = [
  ['The thick mark', 'where the sauce stands'],
  ['The whisker', 'what it lies between, nine times in ten: amounts, fruit and chillies vary'],
  ['The shaded part', 'what sauces of the chosen style are usually like: its window'],
  ['The bracket', 'how you like it, as far as your tastings tell'],
  ['The bite', 'of mustard, horseradish and wasabi, in the nose; it goes with boiling'],
  ['A step', 'what a tongue just notices: one is a touch, five are far'],
  ['%', 'grams in 100 g: sweet as sugar, sour as vinegar’s acid, savoury as glutamate'],
  ['SHU', 'Scoville heat units of the sauce as it is'],
  ['≈ and fix', 'taken from a table or guessed; fix offers what else it may mean'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** The one page of help, behind "?". */
export function Help({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event.target)) {
        event.preventDefault();
        onOpenChange(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [onOpenChange]);
  const close = () => {
    onOpenChange(false);
  };
  return (
    <Dialog open={open} onClose={close} aria-labelledby="help-title">
      <DialogTitle id="help-title">What the bars say, and keys</DialogTitle>
      <DialogContent tabIndex={0} role="region" aria-label="Words and keys">
        <Pairs pairs={words} />
        <Box component="h3" sx={{ fontSize: '1rem', mb: 0.5 }}>
          Keys
        </Box>
        <Pairs pairs={keys} />
      </DialogContent>
      <DialogActions>
        <Button component={Link} to="/settings" onClick={close}>
          Settings
        </Button>
        <Button onClick={close}>Back</Button>
      </DialogActions>
    </Dialog>
  );
}

function Pairs({ pairs }: { pairs: readonly (readonly [string, string])[] }) {
  return (
    <Box
      component="dl"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'minmax(9rem, auto) 1fr' },
        columnGap: 3,
        rowGap: { xs: 0, sm: 0.75 },
        m: 0,
      }}
    >
      {pairs.map(([name, says]) => (
        <Box key={name} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ fontWeight: 700, mt: { xs: 0.75, sm: 0 } }}>
            {name}
          </Box>
          <Box component="dd" sx={{ m: 0 }}>
            {says}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
