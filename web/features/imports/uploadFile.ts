import { api } from '../../api/client';

/** Bytes at a time: in base64 well within what the server takes at once. */
const pieceBytes = 3_000_000;
const triesOfAPiece = 5;
const pause = 1_000;

const base64 = async (piece: Blob): Promise<string> => {
  const bytes = new Uint8Array(await piece.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 32_768) {
    text += String.fromCharCode(...bytes.subarray(at, at + 32_768));
  }
  return btoa(text);
};

/**
 * Lays a file down at the server, piece by piece: its bytes as they are, of any size and in any encoding.
 *
 * @param onSent told how many bytes are there
 * @returns the name of the upload
 */
export async function uploadFile(file: File, onSent: (bytes: number) => void, signal: AbortSignal): Promise<string> {
  const { upload } = await api.beginUpload();
  try {
    for (let at = 0; at < file.size; at += pieceBytes) {
      await sendPiece(upload, at, await base64(file.slice(at, at + pieceBytes)), signal);
      onSent(Math.min(file.size, at + pieceBytes));
    }
    return upload;
  } catch (reason) {
    void api.forgetUpload(upload).catch(() => undefined);
    throw reason;
  }
}

async function sendPiece(upload: string, at: number, bytes: string, signal: AbortSignal): Promise<void> {
  for (let tried = 1; ; tried += 1) {
    try {
      await api.addPiece(upload, { at, bytes }, { signal });
      return;
    } catch (reason) {
      // a piece that is sent twice is stored once
      if (signal.aborted || tried === triesOfAPiece) throw reason;
      await new Promise((done) => setTimeout(done, pause));
    }
  }
}
