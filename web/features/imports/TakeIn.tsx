import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Snackbar,
  Typography,
} from '@mui/material';
import { useEffect, useEffectEvent, useState } from 'react';
import { Check } from '../../ui/Check';
import { useTakingIn, type Working } from './useTakingIn';
import { say } from './sentences';

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName);

/** A saved page or a kitchen is no list of lines, wherever it is pasted. */
const isData = (text: string): boolean => /^\s*[[{]\s*["{[]/.test(text) || text.includes('application/ld+json');

/** Files dropped and texts pasted anywhere on the shelf: first what would happen, then it happens, and it can be undone. */
export function TakeIn() {
  const taking = useTakingIn();
  const [keepsBoth, setKeepsBoth] = useState(false);
  const dropped = useEffectEvent((event: DragEvent) => {
    event.preventDefault();
    const files = [...(event.dataTransfer?.files ?? [])];
    const text = event.dataTransfer?.getData('text/plain') ?? '';
    setKeepsBoth(false);
    if (files.length > 0) void taking.offerFiles(files);
    else if (text.trim() !== '') void taking.offerText(text);
  });
  const pasted = useEffectEvent((event: ClipboardEvent) => {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (text.trim() === '' || (isTyping(event.target) && !isData(text))) return;
    event.preventDefault();
    setKeepsBoth(false);
    void taking.offerText(text);
  });
  useEffect(() => {
    const over = (event: DragEvent) => {
      event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      dropped(event);
    };
    const paste = (event: ClipboardEvent) => {
      pasted(event);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
      window.removeEventListener('paste', paste);
    };
  }, []);
  const { offered, taken } = taking;
  const items = offered.flatMap((one) => one.preview.items);
  return (
    <>
      <Button component="label" role={undefined} tabIndex={-1} variant="outlined">
        {say.importFiles}
        <input
          type="file"
          multiple
          data-take-in
          accept=".txt,.json,.html,.htm,.csv,text/*,application/json"
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            setKeepsBoth(false);
            if (files.length > 0) void taking.offerFiles(files);
          }}
          style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
        />
      </Button>
      <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary', mt: 0.5 }}>
        {say.recipesSavedWebPagesTables}
      </Typography>
      {taking.fault !== null && (
        <Typography role="alert" data-take-in-fault>
          {taking.fault}
        </Typography>
      )}
      {taking.working !== null && <Progress working={taking.working} onCancel={taking.cancel} />}
      <Dialog open={offered.length > 0} onClose={taking.leave} aria-labelledby="take-in">
        <DialogTitle id="take-in">{say.importThis}</DialogTitle>
        <DialogContent>
          <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 320, overflowY: 'auto' }} tabIndex={0}>
            {items.map((item, index) => (
              <li key={index} data-offered>
                {item.title === '' ? say.unnamed : item.title} ({item.kind}
                {item.there && (keepsBoth ? say.thereAlreadyKeptBesideIt : say.thereAlreadyLeftOut)})
              </li>
            ))}
          </Box>
          {items.some((item) => item.there) && (
            <Check checked={keepsBoth} onCheck={setKeepsBoth} sx={{ mt: 1 }}>
              {say.keepBothWhereItIs}
            </Check>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={taking.leave}>{say.leaveIt}</Button>
          <Button variant="contained" data-take onClick={() => void taking.take(keepsBoth)}>
            {say.importIt}
          </Button>
        </DialogActions>
      </Dialog>
      <Snackbar
        open={taken.length > 0}
        autoHideDuration={20_000}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') taking.forgetTaken();
        }}
        message={say.imported(taken.map((one) => one.says).join('; '))}
        action={
          <Button color="inherit" data-undo-import onClick={() => void taking.undo()}>
            {say.undo}
          </Button>
        }
      />
    </>
  );
}

function Progress({ working, onCancel }: { working: Working; onCancel: () => void }) {
  return (
    <Box role="status" data-working sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', my: 1 }}>
      <Typography sx={{ flex: '1 1 160px' }}>{working.says} …</Typography>
      <LinearProgress
        aria-label={working.says}
        sx={{ flex: '2 1 160px' }}
        {...(working.share === null ? {} : { variant: 'determinate', value: 100 * working.share })}
      />
      <Button variant="outlined" onClick={onCancel} sx={{ minHeight: 44 }}>
        {say.cancel}
      </Button>
    </Box>
  );
}
