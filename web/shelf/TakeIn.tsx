import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Snackbar, Typography } from '@mui/material';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, type Imported, type ImportPreview } from '../shared/api';
import { textField } from '../shared/looks';
import { Check } from '../shared/Check';

interface Offered {
  contents: string;
  preview: ImportPreview;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName);

/** A saved page or a kitchen is no list of lines, wherever it is pasted. */
const isData = (text: string): boolean => /^\s*[[{]\s*["{[]/.test(text) || text.includes('application/ld+json');

/** Files dropped and texts pasted anywhere on the shelf: first what would happen, then it happens, and it can be undone. */
export function TakeIn() {
  const [offered, setOffered] = useState<Offered | null>(null);
  const [keepsBoth, setKeepsBoth] = useState(false);
  const [taken, setTaken] = useState<Imported | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const queries = useQueryClient();
  const offer = async (contents: string) => {
    try {
      setFault(null);
      setKeepsBoth(false);
      setOffered({ contents, preview: await api.previewImport({ contents }) });
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : 'That could not be read.');
    }
  };
  const renew = async () => {
    await queries.invalidateQueries();
  };
  const take = async () => {
    if (offered === null) return;
    try {
      setTaken(await api.takeIn({ contents: offered.contents, keep_both: keepsBoth }));
      setOffered(null);
      await renew();
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : 'That could not be taken in.');
    }
  };
  const undo = async () => {
    if (taken !== null) await api.undoImport(taken.id);
    setTaken(null);
    await renew();
  };
  useEffect(() => {
    const over = (event: DragEvent) => {
      event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      event.preventDefault();
      const file = event.dataTransfer?.files[0];
      const text = event.dataTransfer?.getData('text/plain') ?? '';
      if (file !== undefined) void file.text().then(offer);
      else if (text.trim() !== '') void offer(text);
    };
    const paste = (event: ClipboardEvent) => {
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (text.trim() === '' || (isTyping(event.target) && !isData(text))) return;
      event.preventDefault();
      void offer(text);
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
  const items = offered?.preview.items ?? [];
  return (
    <>
      <Box component="label" sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44, flexWrap: 'wrap' }}>
        Take in a file
        <Box
          component="input"
          type="file"
          data-take-in
          accept=".txt,.json,.html,.htm,.csv,text/*,application/json"
          onChange={(event: { target: HTMLInputElement }) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file !== undefined) void file.text().then(offer);
          }}
          sx={{ ...textField, py: 0.5, flex: '1 1 160px', minWidth: 0, width: '100%' }}
        />
      </Box>
      <Typography sx={{ fontSize: '0.9rem', color: 'text.secondary' }}>
        A recipe, a saved web page, a table (CSV) or a whole kitchen. Or drop or paste it anywhere here.
      </Typography>
      {fault !== null && (
        <Typography role="alert" data-take-in-fault>
          {fault}
        </Typography>
      )}
      <Dialog
        open={offered !== null}
        onClose={() => {
          setOffered(null);
        }}
        aria-labelledby="take-in"
      >
        <DialogTitle id="take-in">Take this in?</DialogTitle>
        <DialogContent>
          <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 320, overflowY: 'auto' }} tabIndex={0}>
            {items.map((item, index) => (
              <li key={index} data-offered>
                {item.title === '' ? 'Unnamed' : item.title} ({item.kind}
                {item.there && (keepsBoth ? ', there already: kept beside it' : ', there already: left out')})
              </li>
            ))}
          </Box>
          {items.some((item) => item.there) && (
            <Check checked={keepsBoth} onCheck={setKeepsBoth} sx={{ mt: 1 }}>
              Keep both where it is there already
            </Check>
          )}
        </DialogContent>
        <DialogActions>
          <Button
            onClick={() => {
              setOffered(null);
            }}
          >
            Leave it
          </Button>
          <Button variant="contained" data-take onClick={() => void take()}>
            Take it in
          </Button>
        </DialogActions>
      </Dialog>
      <Snackbar
        open={taken !== null}
        autoHideDuration={20_000}
        onClose={(_, reason) => {
          if (reason !== 'clickaway') setTaken(null);
        }}
        message={`Taken in: ${taken?.says ?? ''}.`}
        action={
          <Button color="inherit" data-undo-import onClick={() => void undo()}>
            Undo
          </Button>
        }
      />
    </>
  );
}
