import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { watchUse } from './api/in-use.ts';
import { UnreachableError } from './api/request.ts';
import { askWhoIsHere } from './api/session.ts';
import { App } from './app.tsx';
import { KEPT_ANSWERS } from './offline/kept-place.ts';
import { keepPage } from './offline/opens-offline.ts';
import './styles.css';

const queries: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError: (error) => askWhoIsHere(queries, error) }),
  mutationCache: new MutationCache({ onError: (error) => askWhoIsHere(queries, error) }),
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof UnreachableError && count < 4,
      refetchOnWindowFocus: true,
    },
  },
});

// The sheets lock the page behind them with a style element of their own, which the content security policy lets in by its nonce.
setNonce(document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '');

watchUse();

const root = document.getElementById('root');

/** What this tab has kept comes back; where it cannot be read, everything is fetched as at a first visit. */
async function bringBack(): Promise<void> {
  try {
    if (sessionStorage.getItem(KEPT_ANSWERS) !== null)
      (await import('./offline/kept-answers.ts')).bringBackAnswers(queries);
  } catch {
    queries.clear();
  }
}

async function start(): Promise<void> {
  if (root === null) return;
  await bringBack();
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
  await keepPage();
}

void start();
