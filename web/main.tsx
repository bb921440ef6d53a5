import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/petrona/wght.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { CssBaseline, ThemeProvider } from '@mui/material';
import { StrictMode, useSyncExternalStore } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import { BenchPage } from './features/bench/BenchPage';
import { BrokenPage } from './ui/BrokenPage';
import { keepPages } from './offline/keepPages';
import { entrance } from './api/entrance';
import { later } from './ui/later';
import { LostPage } from './ui/LostPage';
import { theme } from './ui/theme/index';

const Shelf = later(async () => (await import('./features/shelf/Shelf')).Shelf);
const Pantry = later(async () => (await import('./features/pantry/Pantry')).Pantry);
const TastePage = later(async () => (await import('./features/batches/TastePage')).TastePage);
const ComparePage = later(async () => (await import('./features/comparison/ComparePage')).ComparePage);
const CookStart = later(async () => (await import('./features/cook-sessions/CookStart')).CookStart);
const CookPage = later(async () => (await import('./features/cook-sessions/CookPage')).CookPage);
const TypicalPage = later(async () => (await import('./features/typical/TypicalPage')).TypicalPage);
const TypicalSaucePage = later(async () => (await import('./features/typical/TypicalSaucePage')).TypicalSaucePage);
const LogPage = later(async () => (await import('./features/batches/LogPage')).LogPage);
const BatchPage = later(async () => (await import('./features/batches/BatchPage')).BatchPage);
const LabelPage = later(async () => (await import('./features/batches/LabelPage')).LabelPage);
const SauceLabelPage = later(async () => (await import('./features/batches/LabelPage')).SauceLabelPage);
const CardPage = later(async () => (await import('./features/batches/CardPage')).CardPage);
const PlanPage = later(async () => (await import('./features/plans/PlanPage')).PlanPage);
const TrainerPage = later(async () => (await import('./features/palate/TrainerPage')).TrainerPage);
const BackupsPage = later(async () => (await import('./features/backups/BackupsPage')).BackupsPage);
/** Built only for development. */
const LookPage = import.meta.env.DEV ? later(async () => (await import('./features/look/LookPage')).LookPage) : null;
const SettingsPage = later(async () => (await import('./features/settings/SettingsPage')).SettingsPage);
const PalatePage = later(async () => (await import('./features/palate/PalatePage')).PalatePage);

const Entrance = later(async () => (await import('./features/auth/Entrance')).Entrance);

/** Asks for the passphrase when the kitchen does. */
function Doorway() {
  const isShut = useSyncExternalStore(entrance.subscribe, entrance.isShut);
  return isShut && <Entrance />;
}

/** Every page by its address; one that fails gives way to words, and goes with the next address. */
function Pages() {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={BrokenPage} resetKeys={[pathname]}>
      <Routes>
        <Route path="/" element={<Shelf />} />
        <Route path="/sauce/:id" element={<BenchPage />} />
        <Route path="/sauce/:id/taste" element={<TastePage />} />
        <Route path="/sauce/:id/compare" element={<ComparePage />} />
        <Route path="/sauce/:id/cook" element={<CookStart />} />
        <Route path="/cook/:id" element={<CookPage />} />
        <Route path="/sauce/:id/log" element={<LogPage />} />
        <Route path="/sauce/:id/label" element={<SauceLabelPage />} />
        <Route path="/sauce/:id/card" element={<CardPage />} />
        <Route path="/batch/:id" element={<BatchPage />} />
        <Route path="/batch/:id/label" element={<LabelPage />} />
        <Route path="/typical" element={<TypicalPage />} />
        <Route path="/typical/:style" element={<TypicalSaucePage />} />
        <Route path="/plan" element={<PlanPage />} />
        <Route path="/trainer" element={<TrainerPage />} />
        <Route path="/backups" element={<BackupsPage />} />
        {LookPage !== null && <Route path="/look" element={<LookPage />} />}
        <Route path="/settings" element={<SettingsPage />} />
        <Route path="/palate" element={<PalatePage />} />
        <Route path="/pantry" element={<Pantry />} />
        <Route path="*" element={<LostPage />} />
      </Routes>
    </ErrorBoundary>
  );
}

const queries = new QueryClient({
  defaultOptions: {
    // the kitchen may be on this very machine: whether the browser thinks it is online says nothing
    queries: { retry: 1, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});
const root = document.getElementById('root');

if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <Doorway />
          <BrowserRouter>
            <Pages />
          </BrowserRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </StrictMode>,
  );
}
keepPages();
