import type { components } from './generated';
import { entrance } from '../features/auth/entrance';
import { epoch, epochHeader } from './epoch';

type Schemas = components['schemas'];
export type Advice = Schemas['Advice'];
export type AdviceWish = Schemas['AdviceWish'];
export type Axes = Schemas['Axes'];
export type Axis = Schemas['Axis'];
export type AxisKey = keyof Axes;
export type Balance = Schemas['Balance'];
export type Batch = Schemas['Batch'];
export type Copies = Schemas['Copies'];
export type Imported = Schemas['Imported'];
export type ImportPreview = Schemas['ImportPreview'];
export type ImportWish = Schemas['ImportWish'];
export type BatchRecord = Schemas['BatchRecord'];
export type BatchComparison = Schemas['BatchComparison'];
export type BatchSummary = Schemas['BatchSummary'];
export type Comparison = Schemas['Comparison'];
export type CompareWish = Schemas['CompareWish'];
export type Cook = Schemas['Cook'];
export type CookEvent = Schemas['CookEvent'];
export type CookStart = Schemas['CookStart'];
export type CookTimer = Schemas['CookTimer'];
export type Conversion = Schemas['Conversion'];
export type Door = Schemas['Door'];
export type Design = Schemas['Design'];
export type DesignWish = Schemas['DesignWish'];
export type Correction = Schemas['Correction'];
export type Edit = Schemas['Edit'];
export type Formula = Schemas['Formula'];
export type InstrumentReading = Schemas['InstrumentReading'];
export type Instruments = Schemas['Instruments'];
export type Guess = Schemas['Guess'];
export type Jar = Schemas['Jar'];
export type Keep = Schemas['Keep'];
export type Kitchen = Schemas['Kitchen'];
export type Line = Schemas['Line'];
export type Move = Schemas['Move'];
export type NudgeWish = Schemas['NudgeWish'];
export type Palate = Schemas['Palate'];
export type Said = Schemas['Said'];
export type Scaled = Schemas['Scaled'];
export type ScaleWish = Schemas['ScaleWish'];
export type Suggestions = Schemas['Suggestions'];
export type SuggestWish = Schemas['SuggestWish'];
export type Swap = Schemas['Swap'];
export type Swaps = Schemas['Swaps'];
export type SwapWish = Schemas['SwapWish'];
export type Thickenings = Schemas['Thickenings'];
export type ThicknessWish = Schemas['ThicknessWish'];
export type Trainer = Schemas['Trainer'];
export type Tongue = Schemas['Tongue'];
export type Upload = Schemas['Upload'];
export type Piece = Schemas['Piece'];
export type Written = Schemas['Written'];
export type Version = Schemas['Version'];
export type Measures = NonNullable<Formula['measures']>;
export type PantryItem = Schemas['PantryItem'];
export type Pantry = Schemas['Pantry'];
export type Plan = Schemas['PlanKept'];
export type PlanAnswer = Schemas['PlanAnswer'];
export type PlanDraft = Schemas['PlanDraft'];
export type PlanWish = Schemas['PlanWish'];
export type Product = Schemas['Product'];
export type ProductEntry = Schemas['ProductEntry'];
export type Rebalancing = Schemas['Rebalancing'];
export type Reduction = Schemas['Reduction'];
export type Sauce = Schemas['Sauce'];
export type Shelf = Schemas['Shelf'];
export type ShelfSauce = Schemas['ShelfSauce'];
export type SauceLog = Schemas['SauceLog'];
export type Split = Schemas['Split'];
export type SplitWish = Schemas['SplitWish'];
export type Stage = Schemas['Stage'];
export type StandInDeed = Schemas['StandInDeed'];
export type Style = Schemas['Style'];

/** The server answered, and said why not. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly current: Sauce | null,
    /** Of the kitchen as it is now, where what was written was meant for an earlier one. */
    readonly epoch: number | null = null,
  ) {
    super(message);
  }
}

/** The server did not answer at all. */
export class Unreachable extends Error {}

/** @param writtenIn the epoch that what is written was meant for; the page's own when left out */
async function ask<Answer>(
  method: string,
  path: string,
  body?: unknown,
  options: RequestInit = {},
  writtenIn: number | null = epoch.known(),
): Promise<Answer> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        Accept: 'application/json',
        'Content-Type': 'application/json',
        ...(method === 'GET' || writtenIn === null ? {} : { [epochHeader]: String(writtenIn) }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      ...options,
    });
  } catch (fault) {
    if (fault instanceof DOMException && fault.name === 'AbortError') {
      throw fault;
    }
    throw new Unreachable('The kitchen server does not answer.');
  }
  epoch.heard(response);
  if (response.status === 401) {
    await entrance.opened();
    return ask(method, path, body, options, writtenIn);
  }
  if (response.status === 204) {
    return undefined as Answer;
  }
  const answer = (await response.json().catch(() => null)) as unknown;
  if (!response.ok) {
    const said = answer as { message?: string; current?: Sauce | null; epoch?: number } | null;
    throw new Refusal(
      response.status,
      said?.message ?? 'The kitchen server could not do that.',
      said?.current ?? null,
      said?.epoch ?? null,
    );
  }
  return answer as Answer;
}

export const api = {
  door: () => ask<Door>('GET', '/api/door'),
  enter: (passphrase: string) => ask<undefined>('POST', '/api/door', { passphrase }),
  leave: () => ask<undefined>('DELETE', '/api/door'),
  kitchen: () => ask<Kitchen>('GET', '/api/kitchen'),
  shelf: (named = '', pages = 1) =>
    Promise.all(
      Array.from({ length: pages }, (_, index) =>
        ask<Shelf>('GET', `/api/sauces?named=${encodeURIComponent(named)}&page=${index + 1}`),
      ),
    ).then((found) => ({ sauces: found.flatMap((one) => one.sauces), more: found.at(-1)?.more ?? false })),
  sauce: (id: number) => ask<Sauce>('GET', `/api/sauces/${id}`),
  addSauce: (formula: Formula) => ask<Sauce>('POST', '/api/sauces', formula),
  writeSauce: (written: Written) => ask<Sauce>('POST', '/api/sauces/written', written),
  editSauce: (id: number, edit: Edit, writtenIn: number | null) =>
    ask<Sauce>('PUT', `/api/sauces/${id}`, edit, {}, writtenIn),
  putAway: (id: number) => ask<undefined>('DELETE', `/api/sauces/${id}`),
  bringBack: (id: number) => ask<Sauce>('POST', `/api/sauces/${id}/return`),
  pantry: () => ask<Pantry>('GET', '/api/pantry'),
  addProduct: (entry: ProductEntry) => ask<Product>('POST', '/api/products', entry),
  editProduct: (id: number, entry: ProductEntry) => ask<Product>('PUT', `/api/products/${id}`, entry),
  removeProduct: (id: number) => ask<undefined>('DELETE', `/api/products/${id}`),
  balance: (formula: Formula) => ask<Balance>('POST', '/api/balance', formula),
  design: (wish: DesignWish) => ask<Design>('POST', '/api/design', wish),
  advise: (wish: AdviceWish) => ask<Advice>('POST', '/api/advise', wish),
  suggest: (wish: SuggestWish) => ask<Suggestions>('POST', '/api/suggest', wish),
  nudge: (wish: NudgeWish) => ask<{ text: string }>('POST', '/api/nudge', wish),
  swap: (wish: SwapWish) => ask<Swaps>('POST', '/api/swap', wish),
  convert: (wish: SwapWish) => ask<Conversion>('POST', '/api/convert', wish),
  reduce: (wish: ThicknessWish) => ask<Reduction>('POST', '/api/reduce', wish),
  thicken: (wish: ThicknessWish) => ask<Thickenings>('POST', '/api/thicken', wish),
  scale: (wish: ScaleWish) => ask<Scaled>('POST', '/api/scale', wish),
  compare: (wish: CompareWish) => ask<Comparison>('POST', '/api/compare', wish),
  versions: (sauce: number) => ask<{ versions: Version[] }>('GET', `/api/sauces/${sauce}/versions`),
  keepVersion: (sauce: number) => ask<Version>('POST', `/api/sauces/${sauce}/versions`),
  batches: (sauce: number) => ask<{ batches: BatchSummary[] }>('GET', `/api/sauces/${sauce}/batches`),
  startBatch: (sauce: number, panGrams: number | null) =>
    ask<Batch>('POST', `/api/sauces/${sauce}/batches`, { pan_grams: panGrams }),
  batch: (id: number) => ask<Batch>('GET', `/api/batches/${id}`),
  adviseBatch: (id: number, tongue: Tongue) => ask<Advice>('POST', `/api/batches/${id}/advise`, tongue),
  dose: (id: number, tongue: Tongue) => ask<Batch>('POST', `/api/batches/${id}/doses`, tongue),
  undose: (id: number) => ask<Batch>('DELETE', `/api/batches/${id}/doses`),
  taste: (id: number, tongue: Tongue) => ask<Batch>('POST', `/api/batches/${id}/tastings`, tongue),
  intoTheSauce: (id: number) => ask<Sauce>('POST', `/api/batches/${id}/into-the-sauce`),
  cookBatch: (sauce: number, start: CookStart) => ask<Cook>('POST', `/api/sauces/${sauce}/cooks`, start),
  cook: (batch: number, options: RequestInit = {}) =>
    ask<Cook>('GET', `/api/batches/${batch}/cook`, undefined, options),
  happen: (batch: number, event: CookEvent, writtenIn: number | null) =>
    ask<Cook>('POST', `/api/batches/${batch}/cook`, event, {}, writtenIn),
  instruments: () => ask<Instruments>('GET', '/api/instruments'),
  read: (instrument: 'scale' | 'probe' | 'refractometer' | 'ph-meter') =>
    ask<InstrumentReading>('GET', `/api/instruments/${instrument}`),
  tare: () => ask<InstrumentReading>('POST', '/api/instruments/scale/tare'),
  buffer: (buffer: number) => ask<InstrumentReading>('POST', '/api/instruments/ph-meter/buffer', { buffer }),
  standIn: (deed: StandInDeed) => ask<InstrumentReading>('POST', '/api/instruments/stand-in', deed),
  keep: (formula: Formula) => ask<Keep>('POST', '/api/keep', formula),
  sauceLog: (sauce: number) => ask<SauceLog>('GET', `/api/sauces/${sauce}/log`),
  record: (batch: number) => ask<BatchRecord>('GET', `/api/batches/${batch}/record`),
  writeRecord: (batch: number, entry: CookEvent) => ask<BatchRecord>('POST', `/api/batches/${batch}/record`, entry),
  fillJars: (batch: number, jars: { ml: number; count: number; went_to: string | null }) =>
    ask<BatchRecord>('POST', `/api/batches/${batch}/jars`, jars),
  editJar: (jar: number, edit: { went_to?: string | null; finished?: boolean }) =>
    ask<BatchRecord>('PUT', `/api/jars/${jar}`, edit),
  split: (batch: number, wish: SplitWish) => ask<Split>('POST', `/api/batches/${batch}/split`, wish),
  between: (before: number, after: number) => ask<BatchComparison>('GET', `/api/batches/${before}/against/${after}`),
  plans: () => ask<{ plans: Plan[] }>('GET', '/api/plans'),
  plan: (id: number) => ask<PlanAnswer>('GET', `/api/plans/${id}`),
  draftPlan: (wish: PlanWish) => ask<PlanDraft>('POST', '/api/plans/draft', wish),
  keepPlan: (wish: PlanWish) => ask<PlanAnswer>('POST', '/api/plans', wish),
  dropPlan: (id: number) => ask<undefined>('DELETE', `/api/plans/${id}`),
  beginUpload: () => ask<Upload>('POST', '/api/uploads'),
  addPiece: (upload: string, piece: Piece, options: RequestInit = {}) =>
    ask<Upload>('PUT', `/api/uploads/${upload}`, piece, options),
  upload: (upload: string) => ask<Upload>('GET', `/api/uploads/${upload}`),
  forgetUpload: (upload: string) => ask<undefined>('DELETE', `/api/uploads/${upload}`),
  previewImport: (wish: ImportWish, options: RequestInit = {}) =>
    ask<ImportPreview>('POST', '/api/imports/preview', wish, options),
  takeIn: (wish: ImportWish) => ask<Imported>('POST', '/api/imports', wish),
  undoImport: (id: number) => ask<Imported>('DELETE', `/api/imports/${id}`),
  copies: () => ask<Copies>('GET', '/api/copies'),
  makeCopy: () => ask<Copies>('POST', '/api/copies'),
  putCopyBack: async (name: string) => {
    const copies = await ask<Copies>('POST', `/api/copies/${name}/back`);
    // this page asked for it, and begins anew with what is there now
    epoch.begin(copies.epoch);
    return copies;
  },
  trainer: () => ask<Trainer>('GET', '/api/trainer'),
  guess: (guess: Guess) => ask<Trainer>('POST', '/api/trainer', guess),
  forgetAxis: (axis: string) => ask<Trainer>('DELETE', `/api/trainer/${axis}`),
  palate: () => ask<Palate>('GET', '/api/palate'),
  switchPalate: (on: boolean) => ask<Palate>('PUT', '/api/palate', { on }),
  resetPalate: (style: string) => ask<Palate>('DELETE', `/api/palate/${style}`),
};
