import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type Imported, type ImportPreview, type ImportRequest } from '../../api/client';
import { uploadFile } from './uploadFile';
import { say } from './sentences';

/** Something that could be taken in, and what would come of it. */
export interface Offered {
  readonly name: string;
  readonly wish: ImportRequest;
  readonly preview: ImportPreview;
}

/** How far the work is: a share from 0 to 1 where that is known. */
export interface Working {
  readonly says: string;
  readonly share: number | null;
}

const looksEvery = 500;
const said = (reason: unknown): string => (reason instanceof Error ? reason.message : say.thatCouldNotBeRead);

/** Taking in: what was dropped, chosen or pasted is looked at, offered, taken in as one move, and can be undone. */
export function useTakingIn() {
  const [offered, setOffered] = useState<readonly Offered[]>([]);
  const [taken, setTaken] = useState<readonly Imported[]>([]);
  const [working, setWorking] = useState<Working | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const cancelled = useRef(new AbortController());
  const uploads = useRef<string[]>([]);
  const queries = useQueryClient();

  /** Shows how far the server has read an upload, for as long as the work lasts. */
  const watched = async <Answer>(says: string, upload: string | undefined, work: Promise<Answer>): Promise<Answer> => {
    setWorking({ says, share: null });
    const look =
      upload === undefined
        ? undefined
        : setInterval(() => {
            void api
              .upload(upload)
              .then(({ bytes, read }) => {
                setWorking((now) => (now === null ? now : { says, share: bytes > 0 ? read / bytes : null }));
              })
              .catch(() => undefined);
          }, looksEvery);
    try {
      return await work;
    } finally {
      clearInterval(look);
      setWorking(null);
    }
  };

  const forgetUploads = () => {
    uploads.current.forEach((upload) => void api.forgetUpload(upload).catch(() => undefined));
    uploads.current = [];
  };

  const attempt = async (name: string, look: () => Promise<Offered>): Promise<Offered[]> => {
    try {
      return [await look()];
    } catch (reason) {
      if (!cancelled.current.signal.aborted) {
        const now = name === '' ? said(reason) : `${name}: ${said(reason)}`;
        setFault((before) => (before === null ? now : `${before} ${now}`));
      }
      return [];
    }
  };

  const offerText = async (contents: string) => {
    setFault(null);
    setOffered(
      await attempt('', async () => ({ name: '', wish: { contents }, preview: await api.previewImport({ contents }) })),
    );
  };

  const offerFiles = async (files: readonly File[]) => {
    setFault(null);
    cancelled.current = new AbortController();
    const { signal } = cancelled.current;
    const found: Offered[] = [];
    for (const file of files) {
      const one = await attempt(file.name, async () => {
        setWorking({ says: say.bringingIn(file.name), share: 0 });
        const upload = await uploadFile(
          file,
          (bytes) => {
            setWorking({ says: say.bringingIn(file.name), share: file.size > 0 ? bytes / file.size : 1 });
          },
          signal,
        );
        uploads.current.push(upload);
        const preview = await watched(say.lookingThrough(file.name), upload, api.previewImport({ upload }, { signal }));
        return { name: file.name, wish: { upload }, preview };
      });
      found.push(...one);
      if (signal.aborted) break;
    }
    setWorking(null);
    if (signal.aborted) forgetUploads();
    else setOffered(found);
  };

  const take = async (keepsBoth: boolean) => {
    const all = offered;
    setOffered([]);
    const made: Imported[] = [];
    try {
      for (const { name, wish } of all) {
        made.push(await watched(say.takingIn(name), wish.upload, api.takeIn({ ...wish, keep_both: keepsBoth })));
      }
    } catch (reason) {
      setFault(said(reason));
      forgetUploads();
    }
    uploads.current = [];
    setTaken(made);
    await queries.invalidateQueries();
  };

  return {
    offered,
    taken,
    working,
    fault,
    offerText,
    offerFiles,
    take,
    leave: () => {
      setOffered([]);
      forgetUploads();
    },
    /** Ends what is going on; nothing of it is taken in. */
    cancel: () => {
      cancelled.current.abort();
      forgetUploads();
    },
    forgetTaken: () => {
      setTaken([]);
    },
    undo: async () => {
      const all = [...taken].reverse();
      setTaken([]);
      for (const one of all) await api.undoImport(one.id);
      await queries.invalidateQueries();
    },
  };
}
