import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { say } from './sentences';

const keys: readonly (readonly [string, string])[] = [
  ['Enter', say.nextLineOrANew],
  ['↑ ↓', say.lineAboveLineBelowIn],
  [say.shiftInTheAmount, say.asMuchAsATongue],
  [say.ctrl, say.theSameFromAnywhereIn],
  [say.alt, say.moveTheLine],
  [say.enterWhileTyping, say.takeANameThatIs],
  [say.backspaceOnAnEmptyLine, say.deleteTheLine],
  [say.altEnterInALine, say.whatCanBeDoneWith],
  [say.altKAltSIn, say.lockItsAmountSwapIt],
  [say.altMInALine, say.theNextWayToFix],
  [say.altAInALine, say.setItAsideItIs],
  [say.iOrMOnA, say.makeItAnIngredientOr],
  [say.altAndANumber, say.addWhatThatCorrectionSays],
  [say.altU, say.setTheUnlockedLinesSo],
  [say.altLAltC, say.toTheLinesToWhat],
  [say.ctrlZCtrlShiftZ, say.undoRedoBackThroughThe],
  ['?', say.thisPage],
];

const words: readonly (readonly [string, string])[] = [
  [say.theThickMark, say.whereTheSauceStands],
  [say.theWhisker, say.whatItLiesBetweenNine],
  [say.theShadedPart, say.whatSaucesOfTheChosen],
  [say.theBracket, say.howYouLikeItAs],
  [say.theBite, say.ofMustardHorseradishAndWasabi],
  [say.aStep, say.whatATongueJustNotices],
  ['%', say.gramsIn100GSweet],
  ['SHU', say.scovilleHeatUnitsOfThe],
  [say.andFix, say.takenFromATableOr],
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
      <DialogTitle id="help-title">{say.whatTheBarsSayAnd}</DialogTitle>
      <DialogContent tabIndex={0} role="region" aria-label={say.wordsAndKeys}>
        <Pairs pairs={words} />
        <Box component="h3" sx={{ fontSize: '1rem', mb: 0.5 }}>
          {say.keys}
        </Box>
        <Pairs pairs={keys} />
      </DialogContent>
      <DialogActions>
        <Button component={Link} to="/settings" onClick={close}>
          {say.settings}
        </Button>
        <Button onClick={close}>{say.back}</Button>
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
