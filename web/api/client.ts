import createClient from 'openapi-fetch';
import { epoch } from './epoch';
import type { paths } from './generated';
import { told } from './told';
import { fetchFromKitchen, KitchenRequest, writtenFor } from './transport';
import type {
  AdviceRequest,
  ImportRequest,
  CompareRequest,
  CookEvent,
  CookStart,
  DesignRequest,
  Edit,
  Formula,
  Guess,
  NudgeRequest,
  RatioRequest,
  ScaleRequest,
  SuggestRequest,
  SwapRequest,
  ThicknessRequest,
  Tongue,
  Piece,
  Written,
  PlanRequest,
  ProductRequest,
  SplitRequest,
  StandInRequest,
} from './types';

export * from './types';
export { Refusal, Unreachable } from './transport';

const client = createClient<paths>({
  baseUrl: location.origin,
  Request: KitchenRequest,
  fetch: fetchFromKitchen,
  headers: { Accept: 'application/json', 'Content-Type': 'application/json' },
});

/** What was answered; what was refused has been thrown by then. */
const answer = async <Answer>(call: Promise<{ data?: Answer }>): Promise<Answer> => told((await call).data as Answer);

/** What of an asking the caller may decide. */
type Asking = { signal?: AbortSignal; cache?: RequestCache };

const instruments = {
  scale: '/api/instruments/scale',
  probe: '/api/instruments/probe',
  refractometer: '/api/instruments/refractometer',
  'ph-meter': '/api/instruments/ph-meter',
} as const;

export const api = {
  session: () => answer(client.GET('/api/session')),
  enter: (passphrase: string) => answer(client.POST('/api/session', { body: { passphrase } })),
  leave: () => answer(client.DELETE('/api/session')),
  kitchen: () => answer(client.GET('/api/kitchen')),
  shelf: (named = '', pages = 1) =>
    Promise.all(
      Array.from({ length: pages }, (_, index) =>
        answer(client.GET('/api/sauces', { params: { query: { named: named, page: index + 1 } } })),
      ),
    ).then((found) => ({ sauces: found.flatMap((one) => one.sauces), more: found.at(-1)?.more ?? false })),
  sauce: (id: number) => answer(client.GET('/api/sauces/{sauce}', { params: { path: { sauce: id } } })),
  addSauce: (formula: Formula) => answer(client.POST('/api/sauces', { body: formula })),
  writeSauce: (written: Written) => answer(client.POST('/api/sauces/written', { body: written })),
  readPage: (written: Written) => answer(client.POST('/api/pages', { body: written })),
  editSauce: (id: number, edit: Edit, writtenIn: number | null) =>
    answer(
      client.PUT('/api/sauces/{sauce}', {
        params: { path: { sauce: id } },
        body: edit,
        headers: writtenFor(writtenIn),
      }),
    ),
  putAway: (id: number) => answer(client.DELETE('/api/sauces/{sauce}', { params: { path: { sauce: id } } })),
  bringBack: (id: number) => answer(client.POST('/api/sauces/{sauce}/return', { params: { path: { sauce: id } } })),
  pantry: () => answer(client.GET('/api/pantry')),
  spoonfuls: (sauce: number) => answer(client.GET('/api/sauces/{sauce}/spoonfuls', { params: { path: { sauce } } })),
  addProduct: (entry: ProductRequest) => answer(client.POST('/api/products', { body: entry })),
  editProduct: (id: number, entry: ProductRequest) =>
    answer(client.PUT('/api/products/{product}', { params: { path: { product: id } }, body: entry })),
  removeProduct: (id: number) =>
    answer(client.DELETE('/api/products/{product}', { params: { path: { product: id } } })),
  balance: (formula: Formula) => answer(client.POST('/api/balance', { body: formula })),
  told: (id: number) => answer(client.GET('/api/sauces/{sauce}/told', { params: { path: { sauce: id } } })),
  knownRecipes: (style: string) => answer(client.GET('/api/families/{style}/known', { params: { path: { style } } })),
  design: (wish: DesignRequest) => answer(client.POST('/api/design', { body: wish })),
  advise: (wish: AdviceRequest) => answer(client.POST('/api/advise', { body: wish })),
  suggest: (wish: SuggestRequest) => answer(client.POST('/api/suggest', { body: wish })),
  nudge: (wish: NudgeRequest) => answer(client.POST('/api/nudge', { body: wish })),
  ratio: (wish: RatioRequest) => answer(client.POST('/api/ratio', { body: wish })),
  swap: (wish: SwapRequest) => answer(client.POST('/api/swap', { body: wish })),
  convert: (wish: SwapRequest) => answer(client.POST('/api/convert', { body: wish })),
  reduce: (wish: ThicknessRequest) => answer(client.POST('/api/reduce', { body: wish })),
  thicken: (wish: ThicknessRequest) => answer(client.POST('/api/thicken', { body: wish })),
  scale: (wish: ScaleRequest) => answer(client.POST('/api/scale', { body: wish })),
  sheet: (wish: ScaleRequest) => answer(client.POST('/api/sheet', { body: wish })),
  compare: (wish: CompareRequest) => answer(client.POST('/api/compare', { body: wish })),
  versions: (sauce: number) => answer(client.GET('/api/sauces/{sauce}/versions', { params: { path: { sauce } } })),
  keepVersion: (sauce: number) => answer(client.POST('/api/sauces/{sauce}/versions', { params: { path: { sauce } } })),
  batches: (sauce: number) => answer(client.GET('/api/sauces/{sauce}/batches', { params: { path: { sauce } } })),
  startBatch: (sauce: number, panGrams: number | null) =>
    answer(client.POST('/api/sauces/{sauce}/batches', { params: { path: { sauce } }, body: { pan_grams: panGrams } })),
  batch: (id: number) => answer(client.GET('/api/batches/{batch}', { params: { path: { batch: id } } })),
  adviseBatch: (id: number, tongue: Tongue) =>
    answer(client.POST('/api/batches/{batch}/advise', { params: { path: { batch: id } }, body: tongue })),
  dose: (id: number, tongue: Tongue) =>
    answer(client.POST('/api/batches/{batch}/doses', { params: { path: { batch: id } }, body: tongue })),
  undose: (id: number) => answer(client.DELETE('/api/batches/{batch}/doses', { params: { path: { batch: id } } })),
  taste: (id: number, tongue: Tongue) =>
    answer(client.POST('/api/batches/{batch}/tastings', { params: { path: { batch: id } }, body: tongue })),
  intoTheSauce: (id: number) =>
    answer(client.POST('/api/batches/{batch}/into-the-sauce', { params: { path: { batch: id } } })),
  cookBatch: (sauce: number, start: CookStart) =>
    answer(client.POST('/api/sauces/{sauce}/cooks', { params: { path: { sauce } }, body: start })),
  cook: (batch: number, options: Asking = {}) =>
    answer(client.GET('/api/batches/{batch}/cook', { params: { path: { batch } }, ...options })),
  happen: (batch: number, event: CookEvent, writtenIn: number | null) =>
    answer(
      client.POST('/api/batches/{batch}/cook', {
        params: { path: { batch } },
        body: event,
        headers: writtenFor(writtenIn),
      }),
    ),
  instruments: () => answer(client.GET('/api/instruments')),
  read: (instrument: keyof typeof instruments) => answer(client.GET(instruments[instrument])),
  tare: () => answer(client.POST('/api/instruments/scale/tare')),
  buffer: (buffer: number) => answer(client.POST('/api/instruments/ph-meter/buffer', { body: { buffer } })),
  standIn: (deed: StandInRequest) => answer(client.POST('/api/instruments/stand-in', { body: deed })),
  keep: (formula: Formula) => answer(client.POST('/api/keep', { body: formula })),
  sauceLog: (sauce: number) => answer(client.GET('/api/sauces/{sauce}/log', { params: { path: { sauce } } })),
  record: (batch: number) => answer(client.GET('/api/batches/{batch}/record', { params: { path: { batch } } })),
  writeRecord: (batch: number, entry: CookEvent) =>
    answer(client.POST('/api/batches/{batch}/record', { params: { path: { batch } }, body: entry })),
  fillJars: (batch: number, jars: { ml: number; count: number; went_to: string | null }) =>
    answer(client.POST('/api/batches/{batch}/jars', { params: { path: { batch } }, body: jars })),
  editJar: (jar: number, edit: { went_to?: string | null; finished?: boolean }) =>
    answer(client.PUT('/api/jars/{jar}', { params: { path: { jar } }, body: edit })),
  split: (batch: number, wish: SplitRequest) =>
    answer(client.POST('/api/batches/{batch}/split', { params: { path: { batch } }, body: wish })),
  between: (before: number, after: number) =>
    answer(client.GET('/api/batches/{before}/against/{after}', { params: { path: { before, after } } })),
  plans: () => answer(client.GET('/api/plans')),
  plan: (id: number) => answer(client.GET('/api/plans/{plan}', { params: { path: { plan: id } } })),
  draftPlan: (wish: PlanRequest) => answer(client.POST('/api/plans/draft', { body: wish })),
  keepPlan: (wish: PlanRequest) => answer(client.POST('/api/plans', { body: wish })),
  dropPlan: (id: number) => answer(client.DELETE('/api/plans/{plan}', { params: { path: { plan: id } } })),
  beginUpload: () => answer(client.POST('/api/uploads')),
  addPiece: (upload: string, piece: Piece, options: Asking = {}) =>
    answer(client.PUT('/api/uploads/{upload}', { params: { path: { upload } }, body: piece, ...options })),
  upload: (upload: string) => answer(client.GET('/api/uploads/{upload}', { params: { path: { upload } } })),
  forgetUpload: (upload: string) => answer(client.DELETE('/api/uploads/{upload}', { params: { path: { upload } } })),
  previewImport: (wish: ImportRequest, options: Asking = {}) =>
    answer(client.POST('/api/imports/preview', { body: wish, ...options })),
  takeIn: (wish: ImportRequest) => answer(client.POST('/api/imports', { body: wish })),
  undoImport: (id: number) => answer(client.DELETE('/api/imports/{import}', { params: { path: { import: id } } })),
  backups: () => answer(client.GET('/api/backups')),
  makeCopy: () => answer(client.POST('/api/backups')),
  putCopyBack: async (name: string) => {
    const backups = await answer(client.POST('/api/backups/{name}/restore', { params: { path: { name } } }));
    // this page asked for it, and begins anew with what is there now
    epoch.begin(backups.epoch);
    return backups;
  },
  trainer: () => answer(client.GET('/api/trainer')),
  guess: (guess: Guess) => answer(client.POST('/api/trainer', { body: guess })),
  forgetAxis: (axis: string) => answer(client.DELETE('/api/trainer/{axis}', { params: { path: { axis } } })),
  keepTools: (tools: { has_scale: boolean } | { readies_first: boolean }) =>
    answer(client.PUT('/api/kitchen', { body: tools })),
  palate: () => answer(client.GET('/api/palate')),
  switchPalate: (on: boolean) => answer(client.PUT('/api/palate', { body: { on } })),
  resetPalate: (style: string) => answer(client.DELETE('/api/palate/{style}', { params: { path: { style } } })),
};
